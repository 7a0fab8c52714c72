package org.yarbel.web.calendar;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.data.FoldingWriter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;

/** Writes days as a calendar. */
final class CalendarDocument {
  private static final String PRODUCT = "-//Yarbel//Training days//EN";

  private static final int FOLDED = 24;
  private static final int ASCII = 128;

  private CalendarDocument() {}

  /**
   * A day in the calendar.
   *
   * @param uid the same whenever the same day is written again
   * @param text what is done; may be empty
   * @param place may be empty
   */
  record CalendarEntry(String uid, LocalDate day, String title, String text, String place) {}

  /** The whole calendar as text, lines ended and folded as RFC 5545 has it. */
  static String write(String name, List<CalendarEntry> entries, Instant now) {
    Calendar calendar = new Calendar().withProdId(PRODUCT).withDefaults().getFluentTarget();
    calendar.add(new XProperty("X-WR-CALNAME", name));
    calendar.add(new XProperty("X-PUBLISHED-TTL", Duration.ofHours(6).toString()));
    for (CalendarEntry entry : entries) {
      VEvent event = new VEvent(entry.day(), entry.title());
      event.replace(new DtStamp(now));
      event.add(new Uid(entry.uid()));
      if (!entry.text().isEmpty()) {
        event.add(new Description(entry.text()));
      }
      if (!entry.place().isEmpty()) {
        event.add(new Location(entry.place()));
      }
      event.add(ImmutableTransp.TRANSPARENT);
      calendar.add(event);
    }
    StringWriter text = new StringWriter();
    try {
      new CalendarOutputter(false, fold(name, entries)).output(calendar, text);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return text.toString();
  }

  /** Lines are folded by characters, and limited to 75 octets: where letters take up to three, a third as many. */
  private static int fold(String name, List<CalendarEntry> entries) {
    boolean plain = plain(name) && entries.stream().allMatch(entry -> plain(entry.title()) && plain(entry.text()) && plain(entry.place()));
    return plain ? FoldingWriter.MAX_FOLD_LENGTH : FOLDED;
  }

  private static boolean plain(String text) {
    return text.chars().allMatch(letter -> letter < ASCII);
  }
}
