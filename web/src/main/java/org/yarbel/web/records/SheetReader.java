package org.yarbel.web.records;

import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.form.Delimited;
import org.yarbel.core.records.Guess;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads a table row by row, whatever it came as: commas, semicolons or tabs between, UTF-8 or what older programs write, a workbook, or our
 * own JSON. What it is, its bytes say. Nothing is run and nothing is built up in memory but a row; formulas are read as what they came to.
 */
final class SheetReader {
  /** As many rows as come in. */
  static final int MOST_ROWS = 200_000;
  static final int MOST_CELL = 600;

  private static final int SNIFFED = 1 << 16;
  private static final Charset OLDER = Charset.forName("windows-1252");

  private SheetReader() {}

  /** Rows as they are read, the heads first. */
  static final class Rows implements Consumer<List<String>> {
    private final Consumer<List<String>> take;
    private int count;

    Rows(Consumer<List<String>> take) {
      this.take = take;
    }

    @Override
    public void accept(List<String> cells) {
      if (count > MOST_ROWS) {
        throw new NoTable("The table has more than " + MOST_ROWS + " rows. Divide it.");
      }
      if (cells.size() > Guess.MOST_COLUMNS) {
        throw new NoTable("The table has more than " + Guess.MOST_COLUMNS + " columns: that is no table of training.");
      }
      if (count == 0 && cells.stream().allMatch(String::isBlank)) {
        return;
      }
      count++;
      take.accept(cells.stream().map(SheetReader::cell).toList());
    }
  }

  /** One that may stand in the database: without signs it does not take, and no longer than any is. */
  private static String cell(String text) {
    String plain = text.replace("\u0000", "").strip();
    return plain.length() > MOST_CELL ? plain.substring(0, MOST_CELL) : plain;
  }

  /** Gives each row of a file. */
  static void read(Path file, Consumer<List<String>> take) {
    try {
      byte[] head = head(file);
      Rows rows = new Rows(take);
      if (head.length >= 2 && head[0] == 'P' && head[1] == 'K') {
        WorkbookRows.read(file, rows);
      } else if (first(head) == '{') {
        ours(file, rows);
      } else if (binary(head)) {
        throw new NoTable("The file is no table: neither text with commas, semicolons or tabs, nor a workbook (.xlsx), nor our own JSON.");
      } else {
        text(file, head, rows);
      }
    } catch (IOException wrong) {
      throw new UncheckedIOException(wrong);
    }
  }

  private static byte[] head(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      return in.readNBytes(SNIFFED);
    }
  }

  private static int first(byte[] head) {
    for (byte one : head) {
      if (!Character.isWhitespace(one) && one != (byte) 0xEF && one != (byte) 0xBB && one != (byte) 0xBF) {
        return one;
      }
    }
    return -1;
  }

  private static boolean binary(byte[] head) {
    int odd = 0;
    boolean wide = head.length >= 2 && (head[0] == (byte) 0xFF && head[1] == (byte) 0xFE || head[0] == (byte) 0xFE
        && head[1] == (byte) 0xFF);
    for (byte one : head) {
      odd += one >= 0 && one < ' ' && one != '\t' && one != '\n' && one != '\r' ? 1 : 0;
    }
    return !wide && odd * 100 > head.length;
  }

  private static Charset charset(Path file, byte[] head) throws IOException {
    if (head.length >= 2 && head[0] == (byte) 0xFF && head[1] == (byte) 0xFE) {
      return StandardCharsets.UTF_16LE;
    }
    if (head.length >= 2 && head[0] == (byte) 0xFE && head[1] == (byte) 0xFF) {
      return StandardCharsets.UTF_16BE;
    }
    try (InputStream in = Files.newInputStream(file)) {
      StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(in.readAllBytes()));
      return StandardCharsets.UTF_8;
    } catch (CharacterCodingException older) {
      return OLDER;
    }
  }

  private static void text(Path file, byte[] head, Rows rows) throws IOException {
    Charset charset = charset(file, head);
    String begin = new String(head, charset);
    CSVFormat format = Delimited.of(begin);
    try (Reader in = new Started(new BufferedReader(Files.newBufferedReader(file, charset))); CSVParser parser = CSVParser.parse(in,
        format)) {
      for (CSVRecord row : parser) {
        if (row.size() > Guess.MOST_COLUMNS) {
          throw new NoTable("The table has more than " + Guess.MOST_COLUMNS + " columns: that is no table of training.");
        }
        rows.accept(row.stream().toList());
      }
    } catch (UncheckedIOException | IllegalStateException broken) {
      throw new NoTable("The table breaks off in the middle of a cell: is a quotation mark missing?");
    }
  }

  /** Without the mark that says in which order bytes come. */
  private static final class Started extends java.io.FilterReader {
    private boolean begun;

    Started(Reader in) {
      super(in);
    }

    @Override
    public int read() throws IOException {
      int one = super.read();
      if (!begun) {
        begun = true;
        return one == 0xFEFF ? super.read() : one;
      }
      return one;
    }

    @Override
    public int read(char[] to, int from, int length) throws IOException {
      if (!begun && length > 0) {
        int one = read();
        if (one < 0) {
          return -1;
        }
        to[from] = (char) one;
        return 1;
      }
      return super.read(to, from, length);
    }
  }

  private static final Set<String> OWN = Set.of("yarbel-lifter");

  /** Our own: all that was held about a lifter, of which the log comes in. */
  private static void ours(Path file, Rows rows) throws IOException {
    JsonNode document;
    try (InputStream in = Files.newInputStream(file)) {
      document = JsonMapper.builder().build().readTree(in);
    } catch (JacksonException none) {
      throw new NoTable("The file begins like JSON and is none.");
    }
    if (!OWN.contains(document.path("format").asString(""))) {
      throw new NoTable("The file is JSON, but not ours: it says no format yarbel-lifter.");
    }
    rows.accept(List.of("Date", "Lift", "Load kg", "Reps", "RPE", "Note"));
    for (JsonNode set : document.path("tables").path("logged_set")) {
      MassUnit unit = set.path("unit").asString("").equals("LB") ? MassUnit.LB : MassUnit.KG;
      String rating = set.path("rpe_halves").isNumber() ? new BigDecimal(set.path("rpe_halves").intValue()).divide(new BigDecimal(2))
          .toPlainString() : "";
      rows.accept(List.of(set.path("day").asString(""), set.path("lift").asString(""), load(set.path("load_ng").asLong(0), unit),
          set.path("reps").asString(""), set.path("easier").asBoolean(false) ? "5" : rating, set.path("context_words").asString("")));
    }
  }

  private static String load(long nanograms, MassUnit unit) {
    return unit == MassUnit.LB ? Mass.ofNanograms(nanograms, unit).amountIn(unit, 3).stripTrailingZeros().toPlainString() + " lb"
        : BigDecimal.valueOf(nanograms, 12).stripTrailingZeros().toPlainString();
  }

  /** What somebody has pasted. */
  static void pasted(String text, Consumer<List<String>> take) {
    try (CSVParser parser = CSVParser.parse(new java.io.InputStreamReader(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)),
        StandardCharsets.UTF_8), Delimited.of(text))) {
      Rows rows = new Rows(take);
      parser.stream().map(row -> row.stream().collect(Collectors.toCollection(ArrayList::new))).forEach(rows);
    } catch (IOException | IllegalStateException | UncheckedIOException broken) {
      throw new NoTable("The table breaks off in the middle of a cell: is a quotation mark missing?");
    }
  }
}
