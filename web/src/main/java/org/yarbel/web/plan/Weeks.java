package org.yarbel.web.plan;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Weeks as the screens call them. */
public final class Weeks {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

  private Weeks() {}

  /** {@code 2 Mar – 8 Mar 2026}. */
  public static String label(LocalDate monday) {
    return DAY.format(monday) + " – " + DAY.format(monday.plusDays(6)) + " " + monday.plusDays(6).getYear();
  }
}
