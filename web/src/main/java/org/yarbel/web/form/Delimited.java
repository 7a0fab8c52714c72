package org.yarbel.web.form;

import java.util.List;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;

/** How a table that somebody pastes, or has in a file, is read: RFC 4180, whatever parts its cells. */
public final class Delimited {
  private static final int SNIFFED_LINES = 20;
  private static final char[] BETWEEN = {'\t', ';', ',', '|'};
  private static final Pattern LINES = Pattern.compile("\\R");

  private Delimited() {}

  /** The format of a table that begins so. */
  public static CSVFormat of(String begin) {
    return CSVFormat.DEFAULT.builder().setDelimiter(between(begin)).setIgnoreSurroundingSpaces(true).setLenientEof(true)
        .setTrailingData(true).get();
  }

  /** What parts the cells: what stands most evenly in the first lines. */
  private static char between(String begin) {
    List<String> lines = LINES.splitAsStream(begin).filter(line -> !line.isBlank()).limit(SNIFFED_LINES).toList();
    char best = ',';
    long most = 0;
    for (char sign : BETWEEN) {
      long least = lines.stream().mapToLong(line -> line.chars().filter(one -> one == sign).count()).min().orElse(0);
      long all = lines.stream().limit(1).mapToLong(line -> line.chars().filter(one -> one == sign).count()).sum();
      long score = 3 * least + all;
      if (score > most) {
        most = score;
        best = sign;
      }
    }
    return best;
  }
}
