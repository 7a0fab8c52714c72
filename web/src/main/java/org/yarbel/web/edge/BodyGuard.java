package org.yarbel.web.edge;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.SocketTimeoutException;
import java.nio.ByteBuffer;
import java.time.Duration;
import java.util.Set;
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
 *
 * <p>What nobody read, because it was refused, is let pass within the same time and a bound of its own: a browser that is still
 * sending sees the page that says why instead of a broken line, and who never ends holds nobody.
 */
@Component
public class BodyGuard extends ValveBase implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
  /** How long a body may take to come. */
  public static final Duration LONGEST = Duration.ofSeconds(30);

  /** Stands with a request that says of itself that it is too large. */
  static final String TOO_LARGE = BodyGuard.class.getName() + ".tooLarge";

  private static final long KIB = 1024;
  /** A workbook that comes back in, with what stands around it. */
  private static final long OF_A_PAGE = 4 * KIB * KIB + 64 * KIB;
  private static final long OF_A_CALL = 256 * KIB;
  /** A log of 5,000 sets, written out with every field. */
  private static final long OF_A_LOG = 2 * KIB * KIB;
  /** Old records, or all of a club, which are written to the disk as they come. */
  private static final long OF_A_FILE = 64 * KIB * KIB;
  private static final Set<String> LARGE = Set.of("/house/arrivals", "/records/files");
  private static final int TIMES_LARGER = 10;
  /** The most that is let pass of what nobody reads. */
  private static final long LET_PASS = 64 * KIB * KIB;

  private final Duration longest;

  BodyGuard() {
    this(LONGEST);
  }

  BodyGuard(Duration longest) {
    super(true);
    this.longest = longest;
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
    if (LARGE.contains(path)) {
      return OF_A_FILE;
    }
    return path.startsWith("/api/") || path.equals("/sensor") ? OF_A_CALL : OF_A_PAGE;
  }

  private Duration longest(@Nullable String path) {
    return path != null && LARGE.contains(path) ? longest.multipliedBy(TIMES_LARGER) : longest;
  }

  @Override
  public void invoke(Request request, Response response) throws IOException, ServletException {
    org.apache.coyote.Request wire = request.getCoyoteRequest();
    InputBuffer body = wire.getInputBuffer();
    long told;
    try {
      told = wire.getContentLengthLong();
    } catch (IllegalArgumentException noLength) {
      // two lengths, or one that is no number: nobody knows where the body ends
      response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
      response.setHeader("Connection", "close");
      return;
    }
    long most = most(request.getDecodedRequestURI());
    long until = System.nanoTime() + longest(request.getDecodedRequestURI()).toNanos();
    if (told > most) {
      request.setAttribute(TOO_LARGE, true);
    }
    wire.setInputBuffer(new Cut(body, most, told > most, until));
    try {
      getNext().invoke(request, response);
    } finally {
      wire.setInputBuffer(body);
      letPass(wire, until);
    }
  }

  /** Reads away what is left. Where it cannot, the server breaks the line off: it swallows nothing by itself. */
  private static void letPass(org.apache.coyote.Request wire, long until) {
    if (wire.hasExpectation()) {
      // whoever asks before sending has been answered
      return;
    }
    Nowhere nowhere = new Nowhere();
    try {
      long passed = 0;
      while (!wire.isFinished() && passed < LET_PASS && System.nanoTime() - until < 0) {
        int bytes = wire.doRead(nowhere);
        if (bytes < 0) {
          return;
        }
        passed += bytes;
      }
    } catch (IOException gone) {
      // whoever sent it has left, or is too slow
    }
  }

  private static final class Nowhere implements ApplicationBufferHandler {
    private ByteBuffer bytes = ByteBuffer.allocate(0);

    @Override
    public void setByteBuffer(ByteBuffer buffer) {
      bytes = buffer;
    }

    @Override
    public ByteBuffer getByteBuffer() {
      return bytes;
    }

    @Override
    public void expand(int size) {
      // nothing is kept
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
        throw new SocketTimeoutException("The body took too long to come");
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
