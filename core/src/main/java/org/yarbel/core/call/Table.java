package org.yarbel.core.call;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import org.yarbel.core.lift.Catalogue;

/** A table of data beside this class: a row a line, its columns between bars, remarks behind a hash. A bad line is told with its number. */
final class Table {
  private Table() {}

  /** The rows of a table of so many columns. */
  static <T> List<T> read(String name, int columns, Function<List<String>, T> row) {
    List<T> rows = new ArrayList<>();
    List<String> lines = lines(name);
    for (int i = 0; i < lines.size(); i++) {
      String line = lines.get(i);
      if (line.isBlank() || line.startsWith("#")) {
        continue;
      }
      List<String> cells = Arrays.stream(line.split("\\|")).map(String::strip).toList();
      if (cells.size() != columns) {
        throw new IllegalStateException(name + ", line " + (i + 1) + ": " + columns + " columns are wanted: " + line);
      }
      try {
        rows.add(row.apply(cells));
      } catch (RuntimeException wrong) {
        throw new IllegalStateException(name + ", line " + (i + 1) + ": " + line, wrong);
      }
    }
    return List.copyOf(rows);
  }

  /** Keys with commas between, each of a lift of the catalogue. */
  static List<String> lifts(String cell) {
    List<String> keys = Arrays.stream(cell.split(",")).map(String::strip).toList();
    keys.forEach(key -> Catalogue.standard().ofKey(key).orElseThrow(() -> new IllegalArgumentException("no lift " + key)));
    return keys;
  }

  private static List<String> lines(String name) {
    try (InputStream in = Table.class.getResourceAsStream(name)) {
      if (in == null) {
        throw new IllegalStateException("The table " + name + " is missing");
      }
      return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
    } catch (IOException wrong) {
      throw new UncheckedIOException(wrong);
    }
  }
}
