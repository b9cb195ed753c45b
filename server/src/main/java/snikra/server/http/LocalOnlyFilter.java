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
 *
 * <p>A write from a browser must say where it is from (Origin) and carry {@link #HEADER}, which no
 * form and no page of another site can add. A program on this machine is no browser and carries
 * neither; it could read the files anyway.
 */
public class LocalOnlyFilter extends OncePerRequestFilter {
  /** Request attribute with the nonce that this page's styles may carry. */
  public static final String NONCE = "snikra.nonce";

  /** Header that every write of our own pages carries. */
  public static final String HEADER = "X-Snikra";

  private static final Set<String> LOOPBACK = Set.of("localhost", "127.0.0.1", "[::1]", "::1");
  private static final Set<String> SAFE = Set.of("GET", "HEAD", "OPTIONS");
  private static final int NONCE_BYTES = 16;

  private final SecureRandom random = new SecureRandom();

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    secure(request, response);
    if (!LOOPBACK.contains(request.getServerName())) {
      Refusal.write(
          response, 421, "Snikra answers to localhost only; asked as this host it does not.");
    } else if (!SAFE.contains(request.getMethod()) && !isOwnPage(request) && !isNoPage(request)) {
      Refusal.write(response, 403, "Changes are taken from Snikra's own pages only.");
    } else {
      chain.doFilter(request, response);
    }
  }

  private static boolean isOwnPage(HttpServletRequest request) {
    String origin = request.getHeader("Origin");
    String site = request.getHeader("Sec-Fetch-Site");
    boolean sameSite = site == null || site.equals("same-origin");
    return sameSite
        && request.getHeader(HEADER) != null
        && ("http://" + request.getHeader("Host")).equals(origin);
  }

  private static boolean isNoPage(HttpServletRequest request) {
    String agent = request.getHeader("User-Agent");
    return request.getHeader("Origin") == null
        && request.getHeader("Referer") == null
        && request.getHeader("Sec-Fetch-Site") == null
        && request.getHeader("Sec-Fetch-Mode") == null
        && (agent == null || !agent.startsWith("Mozilla"));
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
    if (request.getRequestURI().startsWith("/api/")) {
      response.setHeader("Cache-Control", "no-store");
    }
  }
}
