package org.yarbel.web.support;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The wire between the browser and the application, which can be cut: a browser's own emulation of "no network" holds for the
 * page alone and leaves its service worker connected.
 */
final class Wire {
  private final int far;
  private final int near;
  private final Set<Socket> open = ConcurrentHashMap.newKeySet();
  private volatile boolean cut;

  Wire(int far) {
    this.far = far;
    try {
      @SuppressWarnings("resource") // lasts as long as the tests
      ServerSocket listening = new ServerSocket(0, 64, InetAddress.getLoopbackAddress());
      near = listening.getLocalPort();
      start(() -> {
        while (true) {
          join(listening.accept());
        }
      });
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  String url(String path) {
    return "http://127.0.0.1:" + near + path;
  }

  /** Cuts all that is open and whatever comes, or lets it through again. */
  void cut(boolean off) {
    cut = off;
    if (off) {
      open.forEach(Wire::close);
      open.clear();
    }
  }

  private void join(Socket browser) throws IOException {
    if (cut) {
      browser.close();
      return;
    }
    Socket application = new Socket();
    application.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), far));
    open.add(browser);
    open.add(application);
    start(() -> pour(browser, application));
    start(() -> pour(application, browser));
  }

  private void pour(Socket from, Socket to) {
    try {
      InputStream in = from.getInputStream();
      OutputStream out = to.getOutputStream();
      byte[] some = new byte[16384];
      for (int read = in.read(some); read >= 0; read = in.read(some)) {
        out.write(some, 0, read);
        out.flush();
      }
      // the other way may still have something to say
      to.shutdownOutput();
      if (!from.isOutputShutdown()) {
        return;
      }
    } catch (IOException cutOrGone) {
      // both are closed below
    }
    close(from);
    close(to);
    open.remove(from);
    open.remove(to);
  }

  private static void close(Socket socket) {
    try {
      socket.close();
    } catch (IOException gone) {
      // closed already
    }
  }

  private interface Work {
    void run() throws IOException;
  }

  private static void start(Work work) {
    Thread thread = new Thread(() -> {
      try {
        work.run();
      } catch (IOException e) {
        throw new IllegalStateException(e);
      }
    }, "wire");
    thread.setDaemon(true);
    thread.start();
  }
}
