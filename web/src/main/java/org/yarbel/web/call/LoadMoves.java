package org.yarbel.web.call;

import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.call.LineChange;
import org.yarbel.core.call.Picture;
import org.yarbel.core.mass.Mass;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.job.DueWork;
import org.yarbel.web.lifter.Lifter;

/**
 * What moved the loads: whenever a lifter was looked at, the heaviest set of each line to come is held against what it was before; what
 * moved by a step or more is on record with its cause, whatever that was.
 */
@Component
class LoadMoves {
  private static final int MOST_WORDS = 300;

  private final JdbcClient jdbc;
  private final CurrentClub club;
  private final ClubClock clock;
  private final CoreJson json;

  LoadMoves(JdbcClient jdbc, CurrentClub club, ClubClock clock, CoreJson json) {
    this.jdbc = jdbc;
    this.club = club;
    this.clock = clock;
    this.json = json;
  }

  /** The heaviest set of a line to come. */
  record Mark(String lift, LocalDate day, long nanograms) {}

  /** All of a lifter, by the ref of the line. */
  record Marks(Map<String, Mark> lines) {}

  /**
   * An event that moved loads.
   *
   * @param day of the first line that moved
   * @param lines how many did
   */
  record Moved(Instant at, String cause, String words, String who, LocalDate day, long beforeNg, long afterNg, int lines) {}

  /** Holds the lines to come against what they were. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void note(Lifter lifter, Picture picture, List<DueWork.Cause> causes) {
    Marks now = marks(picture);
    Marks before = stored(lifter.id());
    if (before != null) {
      Map<String, List<String>> moved = new TreeMap<>();
      now.lines().forEach((ref, mark) -> {
        Mark was = before.lines().get(ref);
        if (was != null && Math.abs(was.nanograms() - mark.nanograms()) >= step(picture) - Mass.TOLERANCE_NANOGRAMS
            && was.lift().equals(mark.lift())) {
          moved.computeIfAbsent(mark.lift(), lift -> new ArrayList<>()).add(ref);
        }
      });
      moved.forEach((lift, refs) -> keep(lifter.id(), lift, refs, before, now, causes));
    }
    if (!now.equals(before)) {
      jdbc.sql("insert into load_mark (club_id, lifter_id, marks) values (:club, :lifter, :marks) on conflict (club_id, lifter_id) do "
          + "update set marks = :marks").param("club", club.id()).param("lifter", lifter.id()).param("marks", json.write(now)).update();
    }
  }

  private static long step(Picture picture) {
    return Mass.of(picture.context().unit().usualStep(), picture.context().unit()).nanograms();
  }

  private static Marks marks(Picture picture) {
    Map<String, Mark> lines = new LinkedHashMap<>();
    picture.sessions().stream().filter(session -> !session.day().isBefore(picture.today()) && !session.begun())
        .forEach(session -> session.lines().stream().filter(line -> line.kind().mainWork()).forEach(line -> LineChange.top(picture,
            line.planned()).ifPresent(top -> lines.put(line.ref().toString(),
                new Mark(line.lift().key(), session.day(), top.nanograms())))));
    return new Marks(lines);
  }

  private @Nullable Marks stored(long lifterId) {
    return jdbc.sql("select marks from load_mark where club_id = :club and lifter_id = :lifter").param("club", club.id())
        .param("lifter", lifterId).query(String.class).optional().map(text -> json.read(text, Marks.class)).orElse(null);
  }

  private void keep(long lifterId, String lift, List<String> refs, Marks before, Marks now, List<DueWork.Cause> causes) {
    String first = refs.stream().min(Comparator.comparing(ref -> now.lines().get(ref).day())).orElseThrow();
    String cause = causes.stream().map(DueWork.Cause::cause).distinct().limit(2).collect(Collectors.joining(", "));
    String words = causes.stream().map(DueWork.Cause::words).filter(text -> !text.isEmpty()).distinct().collect(Collectors.joining("; "));
    String who = causes.stream().map(DueWork.Cause::who).filter(text -> !text.isEmpty()).distinct().limit(2)
        .collect(Collectors.joining(", "));
    jdbc.sql("insert into load_move (id, club_id, lifter_id, lift, at, cause, words, who, day, before_ng, after_ng, lines) values "
        + "(nextval('yarbel_id'), :club, :lifter, :lift, :at, :cause, :words, :who, :day, :before, :after, :lines)")
        .param("club", club.id()).param("lifter", lifterId).param("lift", lift).param("at", Timestamp.from(clock.now()))
        .param("cause", cut(cause, 40)).param("words", cut(words, MOST_WORDS)).param("who", cut(who, 80))
        .param("day", now.lines().get(first).day()).param("before", before.lines().get(first).nanograms())
        .param("after", now.lines().get(first).nanograms()).param("lines", refs.size()).update();
  }

  private static String cut(String text, int most) {
    return text.substring(0, Math.min(most, text.length()));
  }

  /** The newest events of a lift. */
  @Transactional(readOnly = true)
  public List<Moved> of(long lifterId, String lift, int most) {
    return jdbc.sql("select at, cause, words, who, day, before_ng, after_ng, lines from load_move where club_id = :club and lifter_id = "
        + ":lifter and lift = :lift order by id desc limit :most").param("club", club.id()).param("lifter", lifterId).param("lift", lift)
        .param("most", most).query((row, n) -> new Moved(row.getTimestamp("at").toInstant(), row.getString("cause"), row.getString("words"),
            row.getString("who"), row.getObject("day", LocalDate.class), row.getLong("before_ng"), row.getLong("after_ng"),
            row.getInt("lines"))).list();
  }
}
