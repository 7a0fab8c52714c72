package org.yarbel.web.edge;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.net.SocketTimeoutException;
import java.time.Duration;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.InputBuffer;
import org.apache.tomcat.util.net.ApplicationBufferHandler;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Cuts every body at its limit while it is read, whatever length it told and however it comes, and every one that takes longer
 * than {@link #LONGEST} to come. It stands before anything reads, so that forms, files and JSON are held to it alike.
 */
@Component
public class BodyGuard extends ValveBase implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
  /** How long a body may take to come. */
  public static final Duration LONGEST = Duration.ofSeconds(30);

  private static final long KIB = 1024;
  /** A workbook that comes back in, with what stands around it. */
  private static final long OF_A_PAGE = 5 * KIB * KIB;
  private static final long OF_A_CALL = 256 * KIB;
  /** A log of 5,000 sets, written out with every field. */
  private static final long OF_A_LOG = 2 * KIB * KIB;

  BodyGuard() {
    super(true);
  }

  @Override
  public void customize(TomcatServletWebServerFactory server) {
    server.addEngineValves(this);
  }

  /** The most bytes of a body by the path it is sent to, as that is understood; null where it cannot be. */
  static long most(@Nullable String path) {
    if (path == null) {
      return OF_A_PAGE;
    }
    if (path.equals("/api/v1/track")) {
      return OF_A_LOG;
    }
    return path.startsWith("/api/") ? OF_A_CALL : OF_A_PAGE;
  }

  @Override
  public void invoke(Request request, Response response) throws IOException, ServletException {
    org.apache.coyote.Request wire = request.getCoyoteRequest();
    InputBuffer body = wire.getInputBuffer();
    long most = most(request.getDecodedRequestURI());
    wire.setInputBuffer(new Cut(body, most, wire.getContentLengthLong() > most, System.nanoTime() + LONGEST.toNanos()));
    try {
      getNext().invoke(request, response);
    } finally {
      wire.setInputBuffer(body);
    }
  }

  private static final class Cut implements InputBuffer {
    private final InputBuffer body;
    private final long most;
    /** Whether it says of itself that it is too long: then nothing of it is read. */
    private final boolean tooLong;
    private final long until;
    private long read;

    Cut(InputBuffer body, long most, boolean tooLong, long until) {
      this.body = body;
      this.most = most;
      this.tooLong = tooLong;
      this.until = until;
    }

    @Override
    public int doRead(ApplicationBufferHandler handler) throws IOException {
      if (tooLong) {
        throw new BodyTooLarge(most);
      }
      if (System.nanoTime() - until > 0) {
        throw new SocketTimeoutException("The body took longer than " + LONGEST.toSeconds() + " s to come");
      }
      int bytes = body.doRead(handler);
      read += Math.max(bytes, 0);
      if (read > most) {
        throw new BodyTooLarge(most);
      }
      return bytes;
    }

    @Override
    public int available() {
      return body.available();
    }
  }
}
