package org.yarbel.web.edge;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.http.HttpServlet;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.locks.LockSupport;
import org.apache.catalina.connector.Connector;
import org.apache.catalina.core.StandardContext;
import org.apache.catalina.startup.Tomcat;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A server of its own with the guard before it, two seconds for a body, and a page that reads and one that does not. */
class BodyGuardTest {
  private static final Duration TIME = Duration.ofSeconds(2);

  @TempDir
  Path folder;

  private final Tomcat tomcat = new Tomcat();

  @BeforeEach
  void start() throws Exception {
    tomcat.setBaseDir(folder.toString());
    Connector connector = new Connector();
    connector.setPort(0);
    connector.setProperty("address", "127.0.0.1");
    connector.setProperty("maxSwallowSize", "0");
    tomcat.setConnector(connector);
    StandardContext context = (StandardContext) tomcat.addContext("", folder.toString());
    context.setClearReferencesRmiTargets(false);
    context.setClearReferencesThreadLocals(false);
    page(context, "/reads", new HttpServlet() {
      @Override
      protected void service(HttpServletRequest request, HttpServletResponse response) throws IOException {
        response.getWriter().print(request.getInputStream().readAllBytes().length);
      }
    });
    page(context, "/refuses", new HttpServlet() {
      @Override
      protected void service(HttpServletRequest request, HttpServletResponse response) throws IOException {
        response.setStatus(403);
        response.getWriter().print("not for you");
      }
    });
    tomcat.getEngine().getPipeline().addValve(new BodyGuard(TIME));
    tomcat.start();
  }

  private static void page(StandardContext context, String path, HttpServlet servlet) {
    Tomcat.addServlet(context, path, servlet).addMapping(path);
  }

  @AfterEach
  void stop() throws Exception {
    tomcat.stop();
    tomcat.destroy();
  }

  private Socket asks(String path, String... headers) throws IOException {
    Socket socket = new Socket(InetAddress.getLoopbackAddress(), tomcat.getConnector().getLocalPort());
    socket.setSoTimeout(20_000);
    String head = "POST " + path + " HTTP/1.1\r\nHost: localhost\r\n" + String.join("\r\n", headers) + "\r\n\r\n";
    socket.getOutputStream().write(head.getBytes(StandardCharsets.ISO_8859_1));
    return socket;
  }

  /** A byte every tenth of a second until the line is broken off; how long that took. */
  private static Duration drips(Socket socket) throws IOException {
    long began = System.nanoTime();
    OutputStream out = socket.getOutputStream();
    try {
      for (int i = 0; i < 300; i++) {
        out.write('a');
        out.flush();
        LockSupport.parkNanos(100_000_000);
      }
    } catch (IOException brokenOff) {
      // that is the point
    }
    return Duration.ofNanos(System.nanoTime() - began);
  }

  @Test
  void aBodyThatDripsIsBrokenOffWhetherItIsReadOrNot() throws Exception {
    for (String path : new String[] {"/reads", "/refuses"}) {
      try (Socket socket = asks(path, "Content-Length: 500000")) {
        assertThat(drips(socket)).as(path).isBetween(TIME, Duration.ofSeconds(15));
      }
    }
  }

  @Test
  void whoSendsTooMuchAndIsRefusedIsToldWhyAfterSending() throws Exception {
    int length = 12_000_000;
    try (Socket socket = asks("/refuses", "Content-Length: " + length)) {
      OutputStream out = socket.getOutputStream();
      byte[] piece = new byte[60_000];
      for (int sent = 0; sent < length; sent += piece.length) {
        out.write(piece);
      }
      out.flush();
      assertThat(answer(socket)).startsWith("HTTP/1.1 403").endsWith("not for you");
      out.write("POST /reads HTTP/1.1\r\nHost: localhost\r\nContent-Length: 3\r\nConnection: close\r\n\r\nabc"
          .getBytes(StandardCharsets.ISO_8859_1));
      assertThat(new String(socket.getInputStream().readAllBytes(), StandardCharsets.ISO_8859_1)).as("the line goes on")
          .startsWith("HTTP/1.1 200").endsWith("3");
    }
  }

  /**
   * RFC 9112, section 6.3: differing or unreadable lengths are refused; with a transfer coding the length counts for
   * nothing and the line is closed.
   */
  @Test
  void nothingIsSmuggledBehindALengthThatIsNone() throws Exception {
    String hidden = "\r\n\r\nPOST /reads HTTP/1.1\r\nHost: localhost\r\nContent-Length: 0\r\n\r\n";
    for (String lengths : List.of("Content-Length: 3\r\nContent-Length: 50", "Content-Length: three", "Content-Length: -1")) {
      assertThat(allOf(asks("/reads", lengths), "abc" + hidden)).as(lengths).startsWith("HTTP/1.1 400").containsOnlyOnce("HTTP/1.1");
    }
    assertThat(allOf(asks("/reads", "Content-Length: 5", "Transfer-Encoding: chunked"), "0" + hidden))
        .as("two ways of saying where it ends")
        .containsOnlyOnce("HTTP/1.1");
  }

  /** Sends the rest and reads until the server closes the line. */
  private static String allOf(Socket socket, String rest) throws IOException {
    try (socket) {
      socket.getOutputStream().write(rest.getBytes(StandardCharsets.ISO_8859_1));
      return new String(socket.getInputStream().readAllBytes(), StandardCharsets.ISO_8859_1);
    }
  }

  /** As much as comes at once: answers here are short. */
  private static String answer(Socket socket) throws IOException {
    InputStream in = socket.getInputStream();
    StringBuilder text = new StringBuilder();
    while (!text.toString().endsWith("not for you")) {
      int sign = in.read();
      if (sign < 0) {
        return text.toString();
      }
      text.append((char) sign);
    }
    return text.toString();
  }
}
