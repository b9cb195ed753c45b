package snikra.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import snikra.server.TestApp;

/** What is let in, told over a real socket: line for line as it is sent. */
class FilterTest {
  private static final int SLOW = 50;
  private static final String ROUND = "/api/practice/rounds/4c8e0a2d-5f1b-4e93-8a7c-9d2e6b4f0001";
  private static final String FACT =
      "{'kind':'fitting','maker':'m','feature':'bail','value':'wire','from':%s,'to':1953,'give':1,"
          + "'sourceKind':'catalogue','source':'A list'}";

  private static final String KNIFE = "{\"title\":\"mine\"}";

  @RegisterExtension static final TestApp APP = new TestApp("--snikra.most-sending=2s");

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      nullValues = "-",
      value = {
        // Host | Origin | Sec-Fetch-Site | X-Snikra | User-Agent | answer
        "localhost:{port}|http://localhost:{port}|same-origin|1|Mozilla/5.0|201",
        "127.0.0.1:{port}|http://127.0.0.1:{port}|same-origin|1|Mozilla/5.0|201",
        "localhost:{port}|-|-|-|curl/8|201",
        "localhost:{port}|-|-|-|-|201",
        "localhost:{port}|http://localhost:{port}|same-origin|-|Mozilla/5.0|403",
        "localhost:{port}|http://localhost:1|same-site|1|Mozilla/5.0|403",
        "localhost:{port}|http://localhost:1|-|1|Mozilla/5.0|403",
        "localhost:{port}|http://evil.example|cross-site|-|Mozilla/5.0|403",
        "localhost:{port}|http://evil.example|-|1|Mozilla/5.0|403",
        "localhost:{port}|https://localhost:{port}|same-origin|1|Mozilla/5.0|403",
        "localhost:{port}|null|-|1|Mozilla/5.0|403",
        "localhost:{port}|-|cross-site|-|curl/8|403",
        "localhost:{port}|-|none|1|Mozilla/5.0|403",
        "localhost:{port}|-|-|-|Mozilla/5.0 an old browser's form|403",
        "evil.example|http://evil.example|same-origin|1|Mozilla/5.0|421",
        "evil.example:{port}|-|-|-|curl/8|421",
      })
  void aWriteComesFromOurOwnPageOrFromNoPageAtAll(
      String host, String origin, String site, String header, String agent, int answer)
      throws Exception {
    String sent =
        "POST /api/knives HTTP/1.1\r\nHost: "
            + host
            + line("Origin", origin)
            + line("Sec-Fetch-Site", site)
            + line("X-Snikra", header)
            + line("User-Agent", agent)
            + "\r\nContent-Type: application/json\r\nContent-Length: "
            + KNIFE.length()
            + "\r\nConnection: close\r\n\r\n"
            + KNIFE;
    String told = answer(sent.replace("{port}", "" + APP.port()));
    assertThat(told).startsWith("HTTP/1.1 " + answer);
    if (answer >= 400) {
      assertThat(told).contains("application/problem+json").contains("\"detail\":");
    }
  }

  private static String line(String name, String value) {
    return value == null ? "" : "\r\n" + name + ": " + value;
  }

  @ParameterizedTest
  @CsvSource({
    "/api/knives, 2097153, 413, At most 2 MB",
    "/api/examine, 31457280, 413, At most 2 MB",
    "/api/packs, 8388609, 413, At most 8 MB",
    "/api/trials/pack, 8388609, 413, At most 8 MB",
    "/api/sales/table, 8388609, 413, At most 8 MB",
    "/api/knives/x/photos, 31457281, 413, At most 30 MB",
    "/photos, 2097153, 413, At most 2 MB",
  })
  void whatIsTooLargeIsRefusedBeforeItIsRead(String path, long length, int answer, String detail)
      throws Exception {
    String told = answer("POST " + path + head() + "Content-Length: " + length + "\r\n\r\n");
    assertThat(told).startsWith("HTTP/1.1 " + answer).contains(detail);
  }

  @Test
  void aBodyOfUnknownLengthIsRefused() throws Exception {
    String told =
        answer(
            "POST /api/knives" + head() + "Transfer-Encoding: chunked\r\n\r\n2\r\n{}\r\n0\r\n\r\n");
    assertThat(told).startsWith("HTTP/1.1 411").contains("length");
  }

  @Test
  void slowSendersHoldUpNoOneAndAreLetGoInTheEnd() throws Exception {
    List<Socket> slow = new ArrayList<>();
    try {
      for (int i = 0; i < SLOW; i++) {
        Socket socket = new Socket(InetAddress.getLoopbackAddress(), APP.port());
        send(socket, "POST /api/knives" + head() + "Content-Length: 1000\r\n\r\n{");
        slow.add(socket);
      }
      long begun = System.nanoTime();
      assertThat(answer("GET /api/keeping" + head() + "\r\n")).startsWith("HTTP/1.1 200");
      assertThat((System.nanoTime() - begun) / 1e9).isLessThan(5);
      for (int i = 0; i < 6; i++) {
        Thread.sleep(500);
        send(slow.get(0), " ");
      }
      assertThat(read(slow.get(0))).startsWith("HTTP/1.1 408").contains("within 2 seconds");
    } finally {
      for (Socket socket : slow) {
        socket.close();
      }
    }
  }

  @Test
  void roomForBodiesIsGivenBackWholeAfterEachRequest() throws Exception {
    BoundsFilter filter = new BoundsFilter(Duration.ofSeconds(5), 4, 2, 100);
    for (int i = 0; i < 20; i++) {
      MockHttpServletRequest request = new MockHttpServletRequest("POST", "/api/examine");
      request.setContent(new byte[2000]);
      MockHttpServletResponse response = new MockHttpServletResponse();
      filter.doFilter(request, response, new MockFilterChain());
      assertThat(response.getStatus()).as("request %d", i).isEqualTo(200);
    }
  }

  @Test
  void whatIsKeptIsNotKeptByBrowsersAndEachAnswerHasANumber() throws Exception {
    String told = answer("GET /api/knives" + head() + "\r\n");
    assertThat(told).contains("Cache-Control: no-store").contains("X-Request-Id: ");
  }

  @Test
  void whatGoesWrongUnforeseenIsAProblemToo() throws Exception {
    String told = answer("GET /api/none" + head() + "\r\n");
    assertThat(told).startsWith("HTTP/1.1 404").contains("application/problem+json");
    assertThat(answer("DELETE /api/book" + head() + "\r\n"))
        .startsWith("HTTP/1.1 405")
        .contains("application/problem+json")
        .contains("This address does not take DELETE.")
        .contains("must be GET");
    assertThat(answer("POST /api/schedules" + head() + "X-Snikra: 1\r\nContent-Length: 0\r\n\r\n"))
        .as("what it needs is named")
        .startsWith("HTTP/1.1 400")
        .contains("application/problem+json")
        .contains("must be given");
  }

  private static String head() {
    return " HTTP/1.1\r\nHost: localhost:"
        + APP.port()
        + "\r\nContent-Type: application/json\r\nConnection: close\r\n";
  }

  private static String answer(String request) throws IOException {
    try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), APP.port())) {
      send(socket, request);
      return read(socket);
    }
  }

  private static void send(Socket socket, String text) throws IOException {
    OutputStream out = socket.getOutputStream();
    out.write(text.getBytes(StandardCharsets.ISO_8859_1));
    out.flush();
  }

  private static String read(Socket socket) throws IOException {
    socket.setSoTimeout(10_000);
    InputStream in = socket.getInputStream();
    return new String(in.readAllBytes(), StandardCharsets.UTF_8);
  }

  /** What is sent wrongly is told by its field, with what was given and what is accepted. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "PUT  |{ROUND}|{'kind':'more'}|player|nothing|must be given",
        "PUT  |{ROUND}|{'kind':null,'player':'Ada'}|kind|nothing|must be given",
        "PUT  |{ROUND}|{'kind':'less','player':'Ada'}|kind|less|must be one of today, more, drill, mine, grade",
        "PUT  |{ROUND}|{'kind':'more','player':'A\\u0000'}|player|\"A\\u0000\"|must be text without control characters",
        "PUT  |{ROUND}|{'kind':'more','player':['A']}|player|something else|must be text",
        "POST |/api/ledger/strike|[null]|[0]|nothing|must be given",
        "POST |/api/ledger/strike|{}|the whole|something else|must be a list",
        "POST |/api/photos/names|{'names':['a',null]}|names[1]|nothing|must be given",
        "POST |/api/photos/measure|{'known':[{'from':{'x':1,'y':1},'length':'1 in'}],'distances':[],'outline':[]}|known[0].to|nothing|must be given",
        "POST |/api/photos/measure|{'known':[],'distances':[],'outline':[],'more':1}|more|more|must be left out: the format has no such field here",
        "POST |/api/photos/measure|{'known':[],'distances':[],'outline':[{'x':'wide','y':1}]}|outline[0].x|wide|must be a number",
        "POST |/api/knives/filing|{'ids':[null]}|ids[0]|nothing|must be given",
        "PUT  |/api/knives/filing|[{'place':'Case 3','tags':[]}]|[0].id|nothing|must be given",
        "POST |/api/top-price|{'specimen':{}}|plan|nothing|must be the six figures of a plan",
        "POST |/api/trials/fact|{FACT}|from|-1E+308|must be a number of fifteen figures or fewer",
        "POST |/api/examine|{'specimen':{'springs':1e308}}|springs|1E+308|must be a number of fifteen figures or fewer",
        "POST |/api/knives|{'title':'A\\u0001'}|title|\"A\\u0001\"|must be text without control characters",
        "PUT  |{ROUND}|{'kind':|line 1|something else|must be JSON",
      })
  void theFieldIsNamed(
      String method, String path, String body, String field, String given, String accepted)
      throws Exception {
    String sent = body.replace("{FACT}", FACT.formatted("-1e308")).replace('\'', '"');
    APP.web()
        .perform(
            request(HttpMethod.valueOf(method.strip()), path.replace("{ROUND}", ROUND))
                .contentType(MediaType.APPLICATION_JSON)
                .content(sent))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value(field))
        .andExpect(jsonPath("$.problems[0].given").value(given))
        .andExpect(jsonPath("$.problems[0].accepted").value(accepted));
  }
}
