package snikra.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.atomic.AtomicLong;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Gives each request a number, by which the answer and the log know it, and writes what was refused
 * or took long into the log. What was sent never stands there.
 */
public class LogFilter extends OncePerRequestFilter {
  private static final Logger LOG = LoggerFactory.getLogger("requests");
  private static final int REFUSED = 400;
  private static final long LONG_MS = 2000;
  private static final int MOST_PATH = 200;

  private final AtomicLong count = new AtomicLong();
  private final String start =
      Long.toString(System.currentTimeMillis() / 1000, Character.MAX_RADIX);

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String id = start + "-" + count.incrementAndGet();
    response.setHeader("X-Request-Id", id);
    MDC.put("request", id);
    long begun = System.nanoTime();
    try {
      chain.doFilter(request, response);
    } finally {
      long ms = (System.nanoTime() - begun) / 1_000_000;
      int status = response.getStatus();
      if (status >= REFUSED || ms > LONG_MS) {
        LOG.warn("{} {} answered {} after {} ms", request.getMethod(), path(request), status, ms);
      }
      MDC.remove("request");
    }
  }

  // Line ends in an address must not look like a line of the log.
  private static String path(HttpServletRequest request) {
    String path = request.getRequestURI().replaceAll("\\p{Cntrl}", "?");
    return path.substring(0, Math.min(MOST_PATH, path.length()));
  }
}
