package org.yarbel.web.record;

import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.form.DayReader;
import org.yarbel.web.form.Sought;
import org.yarbel.web.who.SignedIn;

/** Owners read what happened and look for a part of it. */
@Controller
class RecordController {
  private static final int A_PAGE = 100;
  private static final int MOST_SOUGHT = 80;
  private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm:ss", Locale.ENGLISH);

  private final JdbcClient jdbc;
  private final ClubClock clock;

  RecordController(JdbcClient jdbc, ClubClock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /**
   * A line of it.
   *
   * @param knock whether somebody was refused
   */
  record Row(long id, String at, String what, boolean knock, String who, String words, String address) {}

  @GetMapping("/record")
  String page(@RequestParam(defaultValue = "") String event, @RequestParam(defaultValue = "") String who,
      @RequestParam(defaultValue = "") String from, @RequestParam(defaultValue = "") String to,
      @RequestParam(defaultValue = "0") long before, @AuthenticationPrincipal SignedIn owner, Model model) {
    Optional<Event> wanted = Arrays.stream(Event.values()).filter(one -> one.name().equals(event)).findFirst();
    String sought = who.substring(0, Math.min(MOST_SOUGHT, who.length()));
    LocalDate first = day(from);
    LocalDate last = day(to);
    List<Row> rows = jdbc.sql("select id, at, event, who, words, address from happened where (club_id = :club or club_id = 0 and (select "
        + "count(*) from club) = 1) and (:event = '' or event = :event) and lower(who || ' ' || words) like '%' || :who || '%' escape "
            + "'!' and "
        + "at >= :from and at < :to and (:before = 0 or id < :before) order by id desc limit " + (A_PAGE + 1))
        .param("club", owner.clubId()).param("event", wanted.map(Event::name).orElse("")).param("who", new Sought(sought).like())
        .param("from", start(first, LocalDate.EPOCH)).param("to", start(last == null ? null : last.plusDays(1), LocalDate.of(2300, 1, 1)))
        .param("before", before).query((row, n) -> {
          Event what = Event.valueOf(row.getString("event"));
          Instant at = row.getObject("at", OffsetDateTime.class).toInstant();
          return new Row(row.getLong("id"), TIME.format(clock.local(at)), what.word(), what.knock(), row.getString("who"),
              row.getString("words"), row.getString("address"));
        }).list();
    model.addAttribute("rows", rows.subList(0, Math.min(A_PAGE, rows.size())));
    model.addAttribute("older", rows.size() > A_PAGE ? rows.get(A_PAGE - 1).id() : null);
    model.addAttribute("events", Event.values());
    model.addAttribute("event", wanted.map(Event::name).orElse(""));
    model.addAttribute("who", sought);
    model.addAttribute("from", first == null ? "" : first.toString());
    model.addAttribute("to", last == null ? "" : last.toString());
    model.addAttribute("kept", SecurityLog.KEPT_DAYS);
    model.addAttribute("wrong", !from.isBlank() && first == null || !to.isBlank() && last == null
        ? "A day looks like 2026-03-02. What could not be read was left out." : null);
    return "record/page";
  }

  private static @Nullable LocalDate day(String typed) {
    try {
      return typed.isBlank() ? null : DayReader.read(typed.strip());
    } catch (DateTimeParseException none) {
      return null;
    }
  }

  private OffsetDateTime start(@Nullable LocalDate day, LocalDate otherwise) {
    return (day == null ? otherwise : day).atStartOfDay(day == null ? ZoneOffset.UTC : clock.zone()).toOffsetDateTime();
  }
}
