package org.yarbel.web.support;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/** A private PostgreSQL that lives as long as the tests; the launcher starts it, as it does for people. */
final class TestDatabase {
  private TestDatabase() {}

  /** Starts a fresh one and answers its {@code url} and {@code password}. */
  static Map<String, String> start() {
    try {
      Path data = Files.createTempDirectory("yarbel-test-");
      data.toFile().setExecutable(true, false);
      data.toFile().setReadable(true, false);
      Map<String, String> told = new HashMap<>();
      for (String line : launcher("database", data)) {
        int at = line.indexOf('=');
        if (at > 0) {
          told.put(line.substring(0, at), line.substring(at + 1));
        }
      }
      if (!told.containsKey("url")) {
        throw new IllegalStateException("The launcher started no database: " + told);
      }
      Runtime.getRuntime().addShutdownHook(new Thread(() -> stop(data, Path.of(told.get("sockets")))));
      return told;
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private static void stop(Path data, Path sockets) {
    try {
      launcher("database-stop", data);
      new ProcessBuilder("rm", "-rf", data.toString(), sockets.toString()).start().waitFor();
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  private static List<String> launcher(String command, Path data) {
    try {
      Path output = Files.createTempFile("yarbel-launcher", ".txt");
      Process process = new ProcessBuilder(root().resolve("yarbel").toString(), command, "--data-dir", data.toString())
          .redirectErrorStream(true)
          .redirectOutput(output.toFile())
          .start();
      if (!process.waitFor(15, TimeUnit.MINUTES) || process.exitValue() != 0) {
        throw new IllegalStateException("yarbel " + command + ": " + Files.readString(output));
      }
      return Files.readAllLines(output);
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** The folder of the launcher. */
  static Path root() {
    Path here = Path.of("").toAbsolutePath();
    return Files.exists(here.resolve("yarbel")) ? here : here.getParent();
  }
}
