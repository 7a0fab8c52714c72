package org.yarbel.web.support;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;

/** Speaks HTTP byte by byte, as no client library lets one: odd paths, cookies and lengths, from any address of this machine. */
public final class Raw {
  private static final int MOST_BYTES = 4_000_000;

  private final TestApp app;
  private final String from;
  private Duration patience = Duration.ofSeconds(60);

  private Raw(TestApp app, String from) {
    this.app = app;
    this.from = from;
  }

  /** From the address the suite itself uses. */
  public static Raw of(TestApp app) {
    return new Raw(app, "127.0.0.1");
  }

  /** From another address of this machine. */
  public static Raw from(TestApp app, String address) {
    return new Raw(app, address);
  }

  public Raw patient(Duration time) {
    this.patience = time;
    return this;
  }

  /** What came back; status 0 when nothing did. */
  public record Answer(int status, String head, String body) {
    public String header(String name) {
      return head.lines().filter(line -> line.regionMatches(true, 0, name + ":", 0, name.length() + 1))
          .map(line -> line.substring(name.length() + 1).strip()).findFirst().orElse("");
    }
  }

  /** Writes a body to the application as it pleases. */
  public interface Body {
    void to(OutputStream out) throws IOException;
  }

  public Answer get(String path, String... headers) {
    return send("GET", path, out -> { }, headers);
  }

  /** Sends a request with these header lines and this body, and reads the answer to its end. */
  public Answer send(String method, String path, Body body, String... headers) {
    try (Socket socket = new Socket()) {
      socket.bind(new InetSocketAddress(InetAddress.getByName(from), 0));
      socket.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), app.port()));
      socket.setSoTimeout((int) patience.toMillis());
      OutputStream out = socket.getOutputStream();
      StringBuilder head = new StringBuilder(method).append(' ').append(path)
          .append(" HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n");
      for (String header : headers) {
        head.append(header).append("\r\n");
      }
      out.write(head.append("\r\n").toString().getBytes(StandardCharsets.ISO_8859_1));
      try {
        body.to(out);
        out.flush();
      } catch (IOException cutOff) {
        // the answer says why
      }
      return read(socket.getInputStream());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Answer read(InputStream in) {
    ByteArrayOutputStream all = new ByteArrayOutputStream();
    byte[] some = new byte[8192];
    try {
      for (int read = in.read(some); read >= 0 && all.size() < MOST_BYTES; read = in.read(some)) {
        all.write(some, 0, read);
      }
    } catch (SocketTimeoutException silent) {
      return new Answer(0, "", "");
    } catch (IOException cutOff) {
      // what came so far counts
    }
    String text = all.toString(StandardCharsets.ISO_8859_1);
    int end = text.indexOf("\r\n\r\n");
    if (end < 0 || text.length() < 12) {
      return new Answer(0, text, "");
    }
    return new Answer(Integer.parseInt(text.substring(9, 12)), text.substring(0, end), text.substring(end + 4));
  }
}
