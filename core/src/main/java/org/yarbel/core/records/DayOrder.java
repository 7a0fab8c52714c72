package org.yarbel.core.records;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** In which order days are written where a month is a number. */
public enum DayOrder {
  YEAR_FIRST("2024-03-05"),
  DAY_FIRST("5.3.2024"),
  MONTH_FIRST("3/5/2024");

  private static final Pattern NUMBERS = Pattern.compile("(\\d{1,4})[-./ ](\\d{1,2})[-./ ](\\d{1,4})\\.?");
  private static final Pattern COMPACT = Pattern.compile("(\\d{4})(\\d{2})(\\d{2})");
  private static final Pattern DAY_MONTH = Pattern.compile("(\\d{1,2})\\.?[ -]?(\\p{L}{3,9})\\.?[ ,-]*(\\d{2,4})");
  private static final Pattern MONTH_DAY = Pattern.compile("(\\p{L}{3,9})\\.?[ -]?(\\d{1,2})(?:st|nd|rd|th)?[ ,-]+(\\d{2,4})");
  private static final Pattern SERIAL = Pattern.compile("\\d{5}(?:[.,]\\d+)?");
  private static final Pattern WEEKDAY = Pattern.compile("^\\p{L}{2,10}\\.?,?\\s+(?=\\d)");
  private static final Pattern TIME = Pattern.compile("[T ]\\d{1,2}:\\d{2}.*$");
  /** English, and German and French where they differ. */
  private static final List<String> MONTHS = List.of("jan", "feb|fév|fev", "mar|mär|mrz", "apr|avr", "may|mai", "jun|juin", "jul|juil",
      "aug|aoû|aou",
      "sep", "oct|okt", "nov", "dec|dez|déc");
  /** Day 0 of spreadsheets, which hold 1900 for a leap year: right from March 1900 on. */
  private static final LocalDate SPREADSHEET = LocalDate.of(1899, 12, 30);
  private static final int CENTURY = 100;
  private static final int TURN = 50;

  private final String example;

  DayOrder(String example) {
    this.example = example;
  }

  /** The fifth of March 2024, so written. */
  public String example() {
    return example;
  }

  /** A day; empty for what is none. Months in words and numbers of spreadsheets are the same in every order. */
  public Optional<LocalDate> read(String text) {
    String plain = TIME.matcher(text.strip()).replaceFirst("").strip();
    // Tue 5 March 2024, but not Mar 5, 2024
    return plain(plain).or(() -> plain(WEEKDAY.matcher(plain).replaceFirst("")));
  }

  private Optional<LocalDate> plain(String plain) {
    Matcher found = NUMBERS.matcher(plain);
    if (found.matches()) {
      return ordered(Integer.parseInt(found.group(1)), Integer.parseInt(found.group(2)), Integer.parseInt(found.group(3)));
    }
    found = COMPACT.matcher(plain);
    if (found.matches()) {
      return day(Integer.parseInt(found.group(1)), Integer.parseInt(found.group(2)), Integer.parseInt(found.group(3)));
    }
    found = DAY_MONTH.matcher(plain);
    if (found.matches()) {
      return inWords(found.group(3), found.group(2), found.group(1));
    }
    found = MONTH_DAY.matcher(plain);
    if (found.matches()) {
      return inWords(found.group(3), found.group(1), found.group(2));
    }
    return SERIAL.matcher(plain).matches() ? Optional.of(SPREADSHEET.plusDays(Long.parseLong(plain.substring(0, 5)))) : Optional.empty();
  }

  private Optional<LocalDate> ordered(int first, int second, int third) {
    if (first > 31) {
      return day(first, second, third);
    }
    return switch (this) {
      case YEAR_FIRST -> day(year(first), second, third);
      case DAY_FIRST -> day(year(third), second, first);
      case MONTH_FIRST -> day(year(third), first, second);
    };
  }

  private static int year(int written) {
    if (written >= CENTURY) {
      return written;
    }
    return written < TURN ? 2 * 10 * CENTURY + written : 19 * CENTURY + written;
  }

  private static Optional<LocalDate> inWords(String year, String month, String day) {
    String word = month.toLowerCase(Locale.ROOT);
    for (int i = 0; i < MONTHS.size(); i++) {
      for (String begin : MONTHS.get(i).split("\\|")) {
        if (word.startsWith(begin)) {
          return day(year(Integer.parseInt(year)), i + 1, Integer.parseInt(day));
        }
      }
    }
    return Optional.empty();
  }

  private static Optional<LocalDate> day(int year, int month, int day) {
    try {
      return Optional.of(LocalDate.of(year, month, day));
    } catch (DateTimeException none) {
      return Optional.empty();
    }
  }
}
