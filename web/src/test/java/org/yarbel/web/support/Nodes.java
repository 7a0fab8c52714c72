package org.yarbel.web.support;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.HttpURLConnection;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/**
 * Nodes of the application as processes of their own, on a database of their own, behind a proxy: each can be killed like a
 * machine that loses its power, and started again.
 */
public final class Nodes implements AutoCloseable {
  private static final int MOST_STARTS = 4;
  private static final Duration LONGEST_START = Duration.ofMinutes(5);

  private final Path data;
  private final int databasePort = freePort();
  private final Map<String, String> database = new HashMap<>();
  private final List<Process> nodes = new ArrayList<>();
  private final List<Integer> ports = new ArrayList<>();
  private final String[] arguments;
  private Process proxy;
  private int proxyPort;

  /** @param arguments further ones of each node */
  public Nodes(int count, String... arguments) {
    this.arguments = arguments;
    try {
      data = Files.createTempDirectory("yarbel-nodes-");
      new ProcessBuilder("chmod", "755", data.toString()).start().waitFor();
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
    startDatabase();
    for (int i = 0; i < count; i++) {
      ports.add(freePort());
      nodes.add(start(i));
      // the first makes the tables and the demo; the second finds them
      awaitHealth(i);
    }
  }

  static int freePort() {
    try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      return socket.getLocalPort();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The rows, past the application. */
  public JdbcClient jdbc() {
    return JdbcClient.create(new DriverManagerDataSource(database.get("url"), "yarbel_owner", database.get("owner")));
  }

  public String url(int node) {
    return "http://127.0.0.1:" + ports.get(node);
  }

  /** Where the proxy stands before all of them. */
  public String proxied() {
    return "http://127.0.0.1:" + proxyPort;
  }

  public void startDatabase() {
    for (String line : launcher("database")) {
      int at = line.indexOf('=');
      if (at > 0) {
        database.put(line.substring(0, at), line.substring(at + 1));
      }
    }
    if (!database.containsKey("url")) {
      throw new IllegalStateException("The launcher started no database: " + database);
    }
  }

  public void killDatabase() {
    try {
      String first = Files.readAllLines(data.resolve("db/postmaster.pid")).get(0);
      new ProcessBuilder("kill", "-9", first.strip()).start().waitFor();
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Lets the database stand still as a disk that hangs does, or go on. */
  public void freezeDatabase(boolean still) {
    try {
      new ProcessBuilder("pkill", still ? "-STOP" : "-CONT", "-f", "postgres.*-p " + databasePort).start().waitFor();
      String first = Files.readAllLines(data.resolve("db/postmaster.pid")).get(0).strip();
      new ProcessBuilder("pkill", still ? "-STOP" : "-CONT", "-P", first).start().waitFor();
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  private List<String> launcher(String command) {
    try {
      Path output = Files.createTempFile("yarbel-nodes", ".txt");
      ProcessBuilder builder = new ProcessBuilder(TestDatabase.root().resolve("yarbel").toString(), command, "--data-dir", data.toString());
      builder.environment().put("YARBEL_DB_PORT", Integer.toString(databasePort));
      // as people have it: what was answered for is on the disk
      builder.environment().put("YARBEL_DURABLE", "1");
      Process process = builder.redirectErrorStream(true).redirectOutput(output.toFile()).start();
      if (!process.waitFor(10, TimeUnit.MINUTES) || process.exitValue() != 0) {
        throw new IllegalStateException("yarbel " + command + ": " + Files.readString(output));
      }
      return Files.readAllLines(output);
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  private Process start(int node) {
    List<String> command = new ArrayList<>(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(),
        Integer.getInteger("sets", 0) > 1000 ? "-XX:+TieredCompilation" : "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xmx512m",
        "-cp", System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")), "org.yarbel.web.YarbelApplication",
        "--server.port=" + ports.get(node), "--yarbel.today=" + TestApp.TODAY, "--spring.jpa.repositories.bootstrap-mode=lazy",
        "--spring.datasource.url=" + database.get("url"), "--spring.datasource.username=yarbel", "--spring.datasource.password="
        + database.get("password"),
        "--spring.flyway.url=" + database.get("url"), "--spring.flyway.user=yarbel_owner", "--spring.flyway.password="
        + database.get("owner")));
    command.addAll(List.of(arguments));
    try {
      return new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.appendTo(log(node))).start();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private File log(int node) {
    return data.resolve("node" + node + ".log").toFile();
  }

  /** What a node has said. */
  public String said(int node) {
    try {
      return Files.readString(log(node).toPath());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  public void kill(int node) {
    nodes.get(node).destroyForcibly();
    try {
      nodes.get(node).waitFor();
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Ends it as an administrator does; answers whether it ended in time. */
  public boolean stop(int node, Duration time) {
    nodes.get(node).destroy();
    try {
      return nodes.get(node).waitFor(time.toMillis(), TimeUnit.MILLISECONDS);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  public void startAgain(int node) {
    nodes.set(node, start(node));
  }

  public void awaitHealth(int node) {
    long until = System.nanoTime() + LONGEST_START.toNanos();
    int starts = 1;
    while (!answers(url(node) + "/health")) {
      // one that came up while its database was away ended, and whoever watches over it starts it again
      boolean ended = !nodes.get(node).isAlive();
      if (ended && starts > MOST_STARTS || System.nanoTime() > until) {
        throw new IllegalStateException("Node " + node + " does not start: " + said(node));
      }
      if (ended) {
        starts++;
        startAgain(node);
      }
      LockSupport.parkNanos(100_000_000);
    }
  }

  private static boolean answers(String url) {
    try {
      HttpURLConnection connection = (HttpURLConnection) URI.create(url).toURL().openConnection();
      connection.setConnectTimeout(1000);
      connection.setReadTimeout(5000);
      return connection.getResponseCode() == 200;
    } catch (IOException notYet) {
      return false;
    }
  }

  /** Puts the proxy of the deployment's example before them. */
  public void proxy() {
    proxyPort = freePort();
    try {
      String example = Files.readString(TestDatabase.root().resolve("docs/deploy/haproxy.cfg"))
          .replace("127.0.0.1:8090", "127.0.0.1:" + proxyPort)
          .replace("127.0.0.1:8081", "127.0.0.1:" + ports.get(0)).replace("127.0.0.1:8082", "127.0.0.1:" + ports.get(1));
      Path configuration = Files.writeString(data.resolve("haproxy.cfg"), example);
      proxy = new ProcessBuilder("/usr/sbin/haproxy", "-db", "-f", configuration.toString()).redirectErrorStream(true)
          .redirectOutput(data.resolve("haproxy.log").toFile()).start();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    long until = System.nanoTime() + LONGEST_START.toNanos();
    while (!answers(proxied() + "/login") && System.nanoTime() < until) {
      LockSupport.parkNanos(100_000_000);
    }
  }

  @Override
  public void close() {
    if (proxy != null) {
      proxy.destroyForcibly();
    }
    nodes.forEach(Process::destroyForcibly);
    launcher("database-stop");
    try {
      new ProcessBuilder("rm", "-rf", data.toString(), database.get("sockets")).start().waitFor();
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }
}
