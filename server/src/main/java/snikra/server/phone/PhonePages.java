package snikra.server.phone;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServlet;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.io.ClassPathResource;
import snikra.formats.InvalidInput;
import snikra.formats.Json;
import snikra.formats.UnreadableKnife;
import snikra.server.http.LocalOnlyFilter;
import snikra.server.http.Refusal;
import snikra.server.keeping.DiskFull;
import snikra.server.knives.NoSuchKnife;
import snikra.server.photos.PhotoRole;

/**
 * All that a phone can ask for: the page with its styles and scripts; to be let in; what is wanted;
 * and to hand over a photograph. Nothing else is there.
 */
class PhonePages extends HttpServlet {
  static final String PASS = "__Host-snikra";

  private static final long serialVersionUID = 1L;
  private static final Logger LOG = LoggerFactory.getLogger(PhonePages.class);
  private static final Duration MOST_SENDING = Duration.ofSeconds(90);
  static final long LARGEST_PHOTO = 30L * 1024 * 1024;
  private static final int LARGEST_CODE = 64;
  private static final int PIECE = 64 * 1024;
  private static final Pattern ASSET = Pattern.compile("/assets/[\\w-]+(?:\\.[\\w-]+)*\\.(\\w+)");
  private static final Map<String, String> TYPES =
      Map.of("js", "text/javascript", "css", "text/css", "woff2", "font/woff2");

  private final transient PhoneCamera camera;
  private final transient PhoneSession session;
  private final transient SecureRandom random;

  /** One photograph is held at a time: a phone sends one after the other. */
  private final transient Semaphore hand = new Semaphore(1);

  PhonePages(PhoneCamera camera, PhoneSession session, SecureRandom random) {
    this.camera = camera;
    this.session = session;
    this.random = random;
  }

  @Override
  protected void service(HttpServletRequest request, HttpServletResponse response)
      throws IOException {
    secure(response);
    String asked = request.getMethod() + " " + request.getRequestURI();
    try {
      if (session.isOver()) {
        Refusal.write(response, 410, "This has ended. Begin anew at the bench.");
      } else if (asked.equals("GET /")) {
        file(response, "phone.html", "text/html;charset=utf-8");
      } else if (request.getMethod().equals("GET") && request.getRequestURI().contains(".")) {
        asset(request.getRequestURI(), response);
      } else if (asked.equals("POST /in")) {
        enter(request, response);
      } else if (!session.knows(pass(request))) {
        Refusal.write(response, 403, "This phone was not let in. Scan the code at the bench.");
      } else if (asked.equals("GET /now")) {
        json(response, 200, camera.asked(session));
      } else if (asked.equals("POST /photos")) {
        take(request, response);
      } else {
        Refusal.write(response, 404, "There is nothing here.");
      }
    } catch (InvalidInput e) {
      Refusal.write(response, 400, e.getMessage());
    } catch (NoSuchKnife e) {
      Refusal.write(response, 404, e.getMessage());
    } catch (UnreadableKnife e) {
      Refusal.write(response, 422, e.getMessage());
    } catch (DiskFull e) {
      Refusal.write(response, 507, e.getMessage());
    } catch (RuntimeException e) {
      LOG.error("{} of a phone could not be answered.", asked, e);
      Refusal.write(
          response, 500, "Snikra stumbled over this. The log in the data folder says more.");
    }
  }

  private static void secure(HttpServletResponse response) {
    response.setHeader(
        "Content-Security-Policy",
        "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' blob: data:;"
            + " font-src 'self'; connect-src 'self'; base-uri 'none'; form-action 'none';"
            + " frame-ancestors 'none'");
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("Referrer-Policy", "no-referrer");
    response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
    response.setHeader("Cache-Control", "no-store");
  }

  private static void asset(String path, HttpServletResponse response) throws IOException {
    Matcher asset = ASSET.matcher(path);
    String type = asset.matches() ? TYPES.get(asset.group(1)) : null;
    if (type == null && !path.equals("/mark.svg")) {
      Refusal.write(response, 404, "There is nothing here.");
    } else {
      file(response, path.substring(1), type == null ? "image/svg+xml" : type);
    }
  }

  private static void file(HttpServletResponse response, String name, String type)
      throws IOException {
    ClassPathResource file = new ClassPathResource("static/" + name);
    if (!file.exists()) {
      Refusal.write(response, 404, "There is nothing here.");
      return;
    }
    response.setContentType(type);
    response.getOutputStream().write(file.getContentAsByteArray());
  }

  private static void json(HttpServletResponse response, int status, Object told)
      throws IOException {
    response.setStatus(status);
    response.setContentType("application/json");
    response
        .getOutputStream()
        .write(Json.mapper().writeValueAsString(told).getBytes(StandardCharsets.UTF_8));
  }

  private static @Nullable String pass(HttpServletRequest request) {
    // Only our own page can add the header; a cookie alone is sent by any.
    if (request.getHeader(LocalOnlyFilter.HEADER) == null || request.getCookies() == null) {
      return null;
    }
    for (Cookie cookie : request.getCookies()) {
      if (cookie.getName().equals(PASS)) {
        return cookie.getValue();
      }
    }
    return null;
  }

  private void enter(HttpServletRequest request, HttpServletResponse response) throws IOException {
    byte[] sent = body(request, LARGEST_CODE);
    Optional<String> pass =
        sent == null || request.getHeader(LocalOnlyFilter.HEADER) == null
            ? Optional.empty()
            : session.enter(new String(sent, StandardCharsets.UTF_8), random);
    if (pass.isEmpty()) {
      Refusal.write(
          response,
          403,
          session.isEntered()
              ? "This code was used already, by another phone or another browser. Begin anew at the"
                  + " bench."
              : "This code is not the one the bench shows. Scan it again.");
      return;
    }
    response.addHeader(
        "Set-Cookie",
        PASS
            + "="
            + pass.get()
            + "; Path=/; Secure; HttpOnly; SameSite=Strict; Max-Age="
            + PhoneSession.LASTS.toSeconds());
    json(response, 200, camera.asked(session));
  }

  private void take(HttpServletRequest request, HttpServletResponse response) throws IOException {
    String role = request.getParameter("role");
    PhotoRole shows = role == null ? session.wanted().role() : PhotoRole.of(role);
    if (!hand.tryAcquire()) {
      Refusal.write(response, 503, "One photograph is still on its way. Try again in a moment.");
      return;
    }
    try {
      byte[] picture = body(request, LARGEST_PHOTO);
      if (picture == null) {
        response.setHeader("Connection", "close");
        Refusal.write(
            response,
            413,
            "A photograph must arrive whole, within "
                + MOST_SENDING.toSeconds()
                + " seconds, and have at most "
                + LARGEST_PHOTO / (1024 * 1024)
                + " MB.");
      } else {
        json(response, 201, camera.keep(session, shows, picture));
      }
    } finally {
      hand.release();
    }
  }

  /** What is sent, or null where it is too much, of unknown length or does not come. */
  private static byte @Nullable [] body(HttpServletRequest request, long most) throws IOException {
    long length = request.getContentLengthLong();
    if (length <= 0 || length > most) {
      return null;
    }
    byte[] body = new byte[(int) length];
    long end = System.nanoTime() + MOST_SENDING.toNanos();
    InputStream in = request.getInputStream();
    for (int at = 0; at < body.length; ) {
      int read = in.read(body, at, Math.min(PIECE, body.length - at));
      if (read < 0 || System.nanoTime() > end) {
        return null;
      }
      at += read;
    }
    return body;
  }
}
