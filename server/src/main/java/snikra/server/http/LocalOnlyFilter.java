package snikra.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.Set;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers this machine's own pages only. The Host must be a loopback name (no DNS rebinding), a
 * write must come from a page of ours (no cross-site writes), and pages may load nothing from
 * anywhere else.
 */
public class LocalOnlyFilter extends OncePerRequestFilter {
  /** Request attribute with the nonce that this page's styles may carry. */
  public static final String NONCE = "snikra.nonce";

  private static final Set<String> LOOPBACK = Set.of("localhost", "127.0.0.1", "[::1]", "::1");
  private static final Set<String> SAFE = Set.of("GET", "HEAD", "OPTIONS");
  private static final long LARGEST_BODY = 2L * 1024 * 1024;
  private static final long LARGEST_PHOTO = 30L * 1024 * 1024;
  private static final long LARGEST_PACK = 8L * 1024 * 1024;
  private static final int NONCE_BYTES = 16;

  private final SecureRandom random = new SecureRandom();

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    secure(request, response);
    if (!LOOPBACK.contains(request.getServerName())) {
      refuse(response, 421, "Snikra answers to localhost only; asked as this host it does not.");
    } else if (!SAFE.contains(request.getMethod()) && !isOwnPage(request)) {
      refuse(response, 403, "Changes are taken from Snikra's own pages only.");
    } else if (request.getContentLengthLong() > largest(request)) {
      long most = largest(request) / (1024 * 1024);
      refuse(response, 413, "At most " + most + " MB can be sent at once.");
    } else if (hasBodyOfUnknownLength(request)) {
      refuse(response, 411, "The length of what is sent must be given.");
    } else {
      chain.doFilter(request, response);
    }
  }

  private static long largest(HttpServletRequest request) {
    String path = request.getRequestURI();
    return path.endsWith("/photos")
        ? LARGEST_PHOTO
        : path.equals("/api/packs") ? LARGEST_PACK : LARGEST_BODY;
  }

  private static boolean isOwnPage(HttpServletRequest request) {
    String origin = request.getHeader("Origin");
    String site = request.getHeader("Sec-Fetch-Site");
    boolean sameSite = site == null || site.equals("same-origin") || site.equals("none");
    return sameSite && (origin == null || origin.equals("http://" + request.getHeader("Host")));
  }

  private static boolean hasBodyOfUnknownLength(HttpServletRequest request) {
    return request.getHeader("Transfer-Encoding") != null;
  }

  private void secure(HttpServletRequest request, HttpServletResponse response) {
    byte[] bytes = new byte[NONCE_BYTES];
    random.nextBytes(bytes);
    String nonce = Base64.getEncoder().encodeToString(bytes);
    request.setAttribute(NONCE, nonce);
    response.setHeader(
        "Content-Security-Policy",
        "default-src 'none'; script-src 'self'; style-src 'self' 'nonce-"
            + nonce
            + "'; img-src 'self' data:; font-src 'self'; connect-src 'self'; base-uri 'none';"
            + " form-action 'none'; frame-ancestors 'none'");
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("X-Frame-Options", "DENY");
    response.setHeader("Referrer-Policy", "no-referrer");
    response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
    response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
    response.setHeader("Permissions-Policy", "camera=(), microphone=(), geolocation=()");
  }

  private static void refuse(HttpServletResponse response, int status, String detail)
      throws IOException {
    response.setStatus(status);
    response.setContentType("application/problem+json");
    response
        .getWriter()
        .write("{\"status\":" + status + ",\"detail\":\"" + detail + "\",\"problems\":[]}");
  }
}
