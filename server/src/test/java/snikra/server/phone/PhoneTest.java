package snikra.server.phone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.net.ConnectException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.KeyStore;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLHandshakeException;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import snikra.core.specimen.Face;
import snikra.formats.SpecimenFormat;
import snikra.server.TestApp;
import snikra.server.knives.KnifeService;
import snikra.server.phone.PhoneSession.Wanted;
import snikra.server.photos.PhotoRole;
import snikra.server.photos.PhotoService;
import snikra.server.photos.TestPictures;
import snikra.server.reference.ReferenceDesk;
import snikra.server.reference.Verdicts;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

class PhoneTest {
  @RegisterExtension static final TestApp APP = new TestApp("--snikra.phone-address=127.0.0.1");

  private static final Pattern PASS = Pattern.compile(PhonePages.PASS + "=([\\w-]+);.*");

  private final MockMvc web = APP.web();
  private final PhotoService photos = APP.bean(PhotoService.class);
  private final ObjectMapper json = new ObjectMapper();
  private String knife;
  private HttpClient phone;

  @BeforeEach
  void aKnifeWithAMarkHalfRead() {
    knife =
        APP.bean(KnifeService.class)
            .add(
                SpecimenFormat.read(
                    """
                    {"title": "The worn one",
                     "marks": [{"blade": 1, "face": "mark", "state": "read", "lines": ["V_L?DR"]},
                               {"blade": 1, "face": "pile", "state": "read", "lines": ["4471"]}]}
                    """,
                    APP.bean(ReferenceDesk.class).examiner().shelf()))
            .id();
  }

  @AfterEach
  void shut() {
    APP.bean(PhoneCamera.class).end();
  }

  private JsonNode begin(String query) throws Exception {
    JsonNode line =
        json.readTree(
            web.perform(post("/api/knives/" + knife + "/phone" + query))
                .andExpect(status().isCreated())
                .andReturn()
                .getResponse()
                .getContentAsString());
    phone = phoneThatTrusts(APP.data().resolve("phone.p12"));
    return line;
  }

  private static HttpClient phoneThatTrusts(Path keys) throws Exception {
    KeyStore known = KeyStore.getInstance("PKCS12");
    try (var in = Files.newInputStream(keys)) {
      known.load(in, PhoneKey.PASSWORD.toCharArray());
    }
    KeyStore trusted = KeyStore.getInstance("PKCS12");
    trusted.load(null, null);
    trusted.setCertificateEntry("snikra", known.getCertificate(PhoneKey.ALIAS));
    TrustManagerFactory trust =
        TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
    trust.init(trusted);
    SSLContext tls = SSLContext.getInstance("TLS");
    tls.init(null, trust.getTrustManagers(), null);
    return HttpClient.newBuilder().sslContext(tls).build();
  }

  private HttpRequest.Builder to(JsonNode line, String path) {
    return HttpRequest.newBuilder(URI.create("https://" + line.get("host").asString() + path))
        .header("X-Snikra", "1")
        .timeout(Duration.ofSeconds(20));
  }

  private static String code(JsonNode line) {
    return URI.create(line.get("address").asString()).getFragment();
  }

  private HttpResponse<String> enter(JsonNode line, String code) throws Exception {
    return phone.send(
        to(line, "/in").POST(BodyPublishers.ofString(code)).build(), BodyHandlers.ofString());
  }

  private String pass(JsonNode line) throws Exception {
    HttpResponse<String> entered = enter(line, code(line));
    assertThat(entered.statusCode()).isEqualTo(200);
    String cookie = entered.headers().firstValue("Set-Cookie").orElseThrow();
    assertThat(cookie).contains("; Secure", "; HttpOnly", "; SameSite=Strict");
    Matcher pass = PASS.matcher(cookie);
    assertThat(pass.matches()).isTrue();
    return pass.group(1);
  }

  private HttpResponse<String> visit(JsonNode line, String path, String pass) throws Exception {
    return phone.send(
        to(line, path).header("Cookie", PhonePages.PASS + "=" + pass).GET().build(),
        BodyHandlers.ofString());
  }

  private HttpResponse<String> send(JsonNode line, String query, String pass, byte[] picture)
      throws Exception {
    return phone.send(
        to(line, "/photos" + query)
            .header("Cookie", PhonePages.PASS + "=" + pass)
            .POST(BodyPublishers.ofByteArray(picture))
            .build(),
        BodyHandlers.ofString());
  }

  @Test
  void aPhoneIsLetInSeesTheLettersAndItsPhotographIsKeptWithTheKnife() throws Exception {
    JsonNode line = begin("?role=tang&blade=1&face=mark");
    String pass = pass(line);
    JsonNode now = json.readTree(visit(line, "/now", pass).body());
    assertThat(now.get("knife").asString()).isEqualTo("The worn one");
    assertThat(now.get("tang").asString()).isEqualTo("Tang 1, mark side");
    assertThat(now.get("lines")).hasToString("[\"V_L?DR\"]");
    assertThat(now.get("role").asString()).isEqualTo("tang");
    assertThat(now.get("secondsLeft").asInt()).isBetween(840, 900);

    byte[] picture = TestPictures.png();
    assertThat(send(line, "", pass, picture).statusCode()).isEqualTo(201);
    assertThat(send(line, "?role=shield", pass, picture).statusCode()).isEqualTo(201);

    assertThat(photos.of(knife))
        .extracting(p -> p.role())
        .containsExactly(PhotoRole.TANG, PhotoRole.SHIELD);
    assertThat(photos.content(photos.of(knife).get(0).id(), PhotoService.Copy.ORIGINAL).bytes())
        .isEqualTo(picture);
    web.perform(get("/api/phone"))
        .andExpect(jsonPath("$.line.entered").value(true))
        .andExpect(jsonPath("$.line.taken").value(2))
        .andExpect(jsonPath("$.line.address").doesNotExist())
        .andExpect(jsonPath("$.line.code").doesNotExist());
  }

  @Test
  void theOtherFaceHasItsOwnLetters() throws Exception {
    JsonNode line = begin("?role=tang&blade=1&face=pile");
    assertThat(json.readTree(visit(line, "/now", pass(line)).body()).get("lines"))
        .hasToString("[\"4471\"]");
  }

  @Test
  void aCodeLetsInOnePhoneOnce() throws Exception {
    JsonNode line = begin("");
    pass(line);
    HttpResponse<String> second = enter(line, code(line));
    assertThat(second.statusCode()).isEqualTo(403);
    assertThat(second.body()).contains("used already");
    assertThat(visit(line, "/now", "another").statusCode()).isEqualTo(403);
  }

  @Test
  void whoGuessesIsShutOut() throws Exception {
    JsonNode line = begin("");
    for (int i = 0; i < PhoneSession.MOST_WRONG; i++) {
      assertThat(enter(line, "guess" + i).statusCode()).isEqualTo(403);
    }
    HttpResponse<String> right = enter(line, code(line));
    assertThat(right.statusCode()).isEqualTo(410);
    web.perform(get("/api/phone")).andExpect(jsonPath("$.line").doesNotExist());
  }

  @Test
  void nothingOfTheBenchIsReachedThroughIt() throws Exception {
    JsonNode line = begin("");
    String pass = pass(line);
    for (String path :
        List.of(
            "/api/knives",
            "/api/knives/" + knife,
            "/api/book",
            "/index.html",
            "/tray",
            "/assets/../index.html",
            "/assets/..%2findex.html",
            "/application.properties")) {
      assertThat(visit(line, path, pass).statusCode()).as(path).isBetween(400, 404);
    }
  }

  @Test
  void withoutTheHeaderOfOurOwnPageThePassIsWorthNothing() throws Exception {
    JsonNode line = begin("");
    String pass = pass(line);
    HttpRequest plain =
        HttpRequest.newBuilder(URI.create("https://" + line.get("host").asString() + "/now"))
            .header("Cookie", PhonePages.PASS + "=" + pass)
            .build();
    assertThat(phone.send(plain, BodyHandlers.ofString()).statusCode()).isEqualTo(403);
  }

  @Test
  void whatIsNoPhotographIsRefusedInASentence() throws Exception {
    JsonNode line = begin("");
    String pass = pass(line);
    HttpResponse<String> text =
        send(line, "", pass, "not a picture".getBytes(StandardCharsets.UTF_8));
    assertThat(text.statusCode()).isEqualTo(400);
    assertThat(text.body()).contains("must be a whole JPEG or PNG photograph");
    assertThat(send(line, "?role=inside", pass, TestPictures.png()).statusCode()).isEqualTo(400);
    assertThat(send(line, "", pass, new byte[31 * 1024 * 1024]).statusCode()).isEqualTo(413);
    assertThat(photos.of(knife)).isEmpty();
  }

  @Test
  void endedItAnswersNoMore() throws Exception {
    JsonNode line = begin("");
    String pass = pass(line);
    web.perform(delete("/api/phone")).andExpect(status().isNoContent());
    assertThatThrownBy(() -> visit(line, "/now", pass)).isInstanceOf(ConnectException.class);
  }

  @Test
  void anotherKnifeTakesTheLineOver() throws Exception {
    JsonNode first = begin("");
    String pass = pass(first);
    JsonNode second = begin("?role=back");
    assertThat(second.get("host").asString()).isNotEqualTo(first.get("host").asString());
    assertThat(enter(second, code(first)).statusCode()).isEqualTo(403);
    assertThat(visit(second, "/now", pass).statusCode()).isEqualTo(403);
  }

  @Test
  void theCertificateIsKeptWithItsFingerprintAndIsTheOwnersAlone() throws Exception {
    JsonNode first = begin("");
    assertThat(first.get("fingerprint").asString()).matches("([0-9A-F]{2}:){31}[0-9A-F]{2}");
    JsonNode second = begin("");
    assertThat(second.get("fingerprint")).isEqualTo(first.get("fingerprint"));
    Path file = APP.data().resolve("phone.p12");
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
        .isEqualTo("rw-------");
    HttpClient stranger = HttpClient.newHttpClient();
    assertThatThrownBy(() -> stranger.send(to(second, "/").build(), BodyHandlers.ofString()))
        .isInstanceOf(SSLHandshakeException.class);
  }

  @Test
  void forAnotherAddressOrTooOldItIsMadeAnew(@TempDir Path folder) throws Exception {
    Path file = folder.resolve("phone.p12");
    Clock now = Clock.systemUTC();
    String first = PhoneKey.at(file, "192.168.7.9", now).fingerprint();
    assertThat(PhoneKey.at(file, "192.168.7.9", now).fingerprint()).isEqualTo(first);
    assertThat(PhoneKey.at(file, "192.168.7.10", now).fingerprint()).isNotEqualTo(first);
    String second = PhoneKey.at(file, "192.168.7.10", now).fingerprint();
    Clock later = Clock.offset(now, Duration.ofDays(398));
    assertThat(PhoneKey.at(file, "192.168.7.10", later).fingerprint()).isNotEqualTo(second);
    Files.writeString(file, "damaged");
    assertThat(PhoneKey.at(file, "192.168.7.10", now).fingerprint()).isNotEqualTo(second);
  }

  @Test
  void itEndsByItselfAfterFifteenMinutes() {
    Instant begun = Instant.parse("2026-11-29T10:00:00Z");
    Instant[] time = {begun};
    Clock clock =
        new Clock() {
          @Override
          public ZoneId getZone() {
            return ZoneOffset.UTC;
          }

          @Override
          public Clock withZone(ZoneId zone) {
            return this;
          }

          @Override
          public Instant instant() {
            return time[0];
          }
        };
    SecureRandom random = new SecureRandom();
    PhoneSession session =
        new PhoneSession(new Wanted(knife, PhotoRole.TANG, 1, Face.MARK), random, clock);
    String pass = session.enter(session.code(), random).orElseThrow();
    time[0] = begun.plusSeconds(899);
    assertThat(session.knows(pass)).isTrue();
    time[0] = begun.plusSeconds(900);
    assertThat(session.isOver()).isTrue();
    assertThat(session.knows(pass)).isFalse();
    assertThat(new PhoneSession(session.wanted(), random, clock).code())
        .isNotEqualTo(session.code());
  }

  @Test
  void withoutANetworkItSaysSo() {
    try (PhoneCamera alone =
        new PhoneCamera(
            APP.bean(KnifeService.class),
            photos,
            APP.bean(Verdicts.class),
            APP.data().resolve("phone.p12"),
            List::of,
            Clock.systemUTC())) {
      assertThatThrownBy(() -> alone.begin(new Wanted(knife, PhotoRole.TANG, null, null), null))
          .isInstanceOf(NoLine.class)
          .hasMessageContaining("in no network");
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"?role=inside", "?face=front", "?address=8.8.8.8", "?blade=first"})
  void whatIsAskedWrongIsNamed(String query) throws Exception {
    web.perform(post("/api/knives/" + knife + "/phone" + query))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value(query.substring(1, query.indexOf('='))));
    web.perform(get("/api/phone")).andExpect(jsonPath("$.line").doesNotExist());
  }

  @Test
  void noKnifeNoLine() throws Exception {
    web.perform(post("/api/knives/none/phone").contentType(MediaType.APPLICATION_JSON))
        .andExpect(status().isNotFound());
  }

  @Test
  void theCodeHoldsTheAddress() throws Exception {
    JsonNode line = begin("");
    List<String> rows = PhoneController.squares(line.get("address").asString());
    int size = rows.size();
    int[] pixels = new int[size * size * 64];
    for (int y = 0; y < size * 8; y++) {
      for (int x = 0; x < size * 8; x++) {
        pixels[y * size * 8 + x] = rows.get(y / 8).charAt(x / 8) == '1' ? 0xff000000 : 0xffffffff;
      }
    }
    var source = new RGBLuminanceSource(size * 8, size * 8, pixels);
    var bitmap = new BinaryBitmap(new HybridBinarizer(source));
    assertThat(
            new QRCodeReader().decode(bitmap, Map.of(DecodeHintType.PURE_BARCODE, true)).getText())
        .isEqualTo(line.get("address").asString());
  }
}
