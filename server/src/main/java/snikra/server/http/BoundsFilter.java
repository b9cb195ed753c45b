package snikra.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Set;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Bounds what one request can take: how much it sends, how long it takes to send it, how much of
 * what is being sent is held at once, and how many are worked on at once. A body is taken in whole
 * before any work begins, so that whoever sends slowly holds up no one.
 */
public class BoundsFilter extends OncePerRequestFilter {
  static final long LARGEST_BODY = 2L * 1024 * 1024;
  static final long LARGEST_PHOTO = 30L * 1024 * 1024;
  static final long LARGEST_PACK = 8L * 1024 * 1024;

  private static final long MB = 1024L * 1024;
  private static final int PIECE = 64 * 1024;
  private static final Set<String> FILES =
      Set.of(
          "/api/packs",
          "/api/trials/pack",
          "/api/sales/table",
          "/api/knives/table",
          "/api/parcel/piece");

  private final Duration mostSending;
  private final Semaphore held;
  private final Semaphore worked;
  private final long patienceMs;

  /**
   * Bounds.
   *
   * @param mostSending how long a body may take to arrive
   * @param heldKb how many kilobytes of bodies are held at once
   * @param atOnce how many requests are worked on at once
   * @param patienceMs how long one waits for its turn
   */
  public BoundsFilter(Duration mostSending, int heldKb, int atOnce, long patienceMs) {
    this.mostSending = mostSending;
    this.held = new Semaphore(heldKb, true);
    this.worked = new Semaphore(atOnce, true);
    this.patienceMs = patienceMs;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    long length = request.getContentLengthLong();
    long largest = largest(request);
    if (request.getHeader("Transfer-Encoding") != null) {
      Refusal.write(response, 411, "The length of what is sent must be given.");
    } else if (length > largest) {
      Refusal.write(response, 413, "At most " + largest / MB + " MB can be sent at once.");
    } else if (length <= 0) {
      work(request, response, chain);
    } else {
      take(request, response, chain, (int) length);
    }
  }

  private static long largest(HttpServletRequest request) {
    String path = request.getRequestURI();
    boolean isPhoto = path.startsWith("/api/knives/") && path.endsWith("/photos");
    return isPhoto ? LARGEST_PHOTO : FILES.contains(path) ? LARGEST_PACK : LARGEST_BODY;
  }

  private void take(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain, int length)
      throws ServletException, IOException {
    int kb = length / 1024 + 1;
    if (!held.tryAcquire(kb)) {
      busy(response);
      return;
    }
    try {
      byte[] body = new byte[length];
      if (read(request.getInputStream(), body)) {
        work(new Taken(request, body), response, chain);
      } else {
        response.setHeader("Connection", "close");
        Refusal.write(
            response,
            408,
            "What is sent must arrive whole within " + mostSending.toSeconds() + " seconds.");
      }
    } finally {
      held.release(kb);
    }
  }

  private boolean read(InputStream in, byte[] body) {
    long end = System.nanoTime() + mostSending.toNanos();
    int at = 0;
    try {
      while (at < body.length) {
        int read = in.read(body, at, Math.min(PIECE, body.length - at));
        if (read < 0 || System.nanoTime() > end) {
          return false;
        }
        at += read;
      }
      return true;
    } catch (IOException e) {
      return false;
    }
  }

  private void work(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    boolean mine = false;
    try {
      mine = worked.tryAcquire(patienceMs, TimeUnit.MILLISECONDS);
      if (mine) {
        chain.doFilter(request, response);
      } else {
        busy(response);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      busy(response);
    } finally {
      if (mine) {
        worked.release();
      }
    }
  }

  private static void busy(HttpServletResponse response) throws IOException {
    response.setHeader("Retry-After", "2");
    Refusal.write(response, 503, "Snikra is busy with other requests. Try again in a moment.");
  }

  /** A request whose body is here already. */
  private static final class Taken extends HttpServletRequestWrapper {
    private final byte[] body;

    Taken(HttpServletRequest request, byte[] body) {
      super(request);
      this.body = body;
    }

    @Override
    public ServletInputStream getInputStream() {
      ByteArrayInputStream in = new ByteArrayInputStream(body);
      return new ServletInputStream() {
        @Override
        public boolean isFinished() {
          return in.available() == 0;
        }

        @Override
        public boolean isReady() {
          return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
          throw new UnsupportedOperationException("What is sent is here already.");
        }

        @Override
        public int read() {
          return in.read();
        }

        @Override
        public int read(byte[] into, int from, int length) {
          return in.read(into, from, length);
        }
      };
    }

    @Override
    public BufferedReader getReader() {
      return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
    }
  }
}
