package org.yarbel.web.form;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import org.jspecify.annotations.Nullable;
import org.springframework.core.convert.converter.Converter;
import org.springframework.stereotype.Component;

/** Reads every day that comes from outside: written year-month-day, and one that a person who trains can mean. */
@Component
public class DayReader implements Converter<String, LocalDate> {
  private static final int FIRST_YEAR = 1900;
  private static final int LAST_YEAR = 2200;

  /** Whether a day lies in a year that is planned or remembered: 1900 to 2200. */
  public static boolean planned(LocalDate day) {
    return day.getYear() >= FIRST_YEAR && day.getYear() <= LAST_YEAR;
  }

  @Override
  public @Nullable LocalDate convert(String text) {
    return text.isBlank() ? null : read(text.strip());
  }

  /**
   * A day.
   *
   * @throws DateTimeParseException when it is none, or none of the years that are planned or remembered
   */
  public static LocalDate read(String text) {
    LocalDate day = LocalDate.parse(text);
    if (!planned(day)) {
      throw new DateTimeParseException("Not in a year that is planned or remembered", text, 0);
    }
    return day;
  }
}
