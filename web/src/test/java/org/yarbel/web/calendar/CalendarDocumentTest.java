package org.yarbel.web.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** RFC 5545: content lines (3.1), texts (3.3.11), all-day events (3.6.1). */
class CalendarDocumentTest {
  private static final Instant NOW = Instant.parse("2026-03-02T12:00:00Z");

  private static String written(String title, String text) {
    return CalendarDocument.write("Maren, training",
        List.of(new CalendarDocument.CalendarEntry("session-1@yarbel", LocalDate.of(2026, 3, 4), title, text, "")), NOW);
  }

  private static String unfolded(String calendar) {
    return calendar.replace("\r\n ", "");
  }

  @Test
  void linesHaveSeventyFiveOctetsAtMostInAnyScript() {
    String text = written("Kniebeuge für Ærøskøbing", "深蹲 5x5 深蹲 5x5 深蹲 5x5 深蹲 5x5 深蹲 5x5 深蹲 5x5 深蹲 5x5 深蹲 5x5 深蹲 5x5");
    assertThat(Arrays.asList(text.split("\r\n"))).allSatisfy(line -> assertThat(line.getBytes(StandardCharsets.UTF_8).length)
        .isLessThanOrEqualTo(75));
    assertThat(unfolded(text)).contains("SUMMARY:Kniebeuge für Ærøskøbing").contains("深蹲 5x5 深蹲");
  }

  @Test
  void signsThatMeanSomethingAreEscaped() {
    assertThat(unfolded(written("Squat, bench; deadlift", "1x1 @8; 4x4 -15%\nRow 3x8"))).contains("SUMMARY:Squat\\, bench\\; deadlift")
        .contains("DESCRIPTION:1x1 @8\\; 4x4 -15%\\nRow 3x8");
  }

  @Test
  void anEventIsAWholeDayWithItsNameAndTime() {
    assertThat(unfolded(written("Squat", ""))).contains("DTSTART;VALUE=DATE:20260304\r\n").contains("UID:session-1@yarbel\r\n")
        .contains("DTSTAMP:20260302T120000Z\r\n")
        .contains("TRANSP:TRANSPARENT\r\n").doesNotContain("DESCRIPTION").doesNotContain("LOCATION");
  }

  @Test
  void aCalendarWithoutDaysIsStillOne() {
    assertThat(CalendarDocument.write("Nobody", List.of(), NOW)).startsWith("BEGIN:VCALENDAR\r\n").contains("PRODID:-//Yarbel//")
        .endsWith("END:VCALENDAR\r\n");
  }
}
