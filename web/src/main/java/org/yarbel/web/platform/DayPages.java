package org.yarbel.web.platform;

import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.contest.meet.MeetTable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.ContestAthlete.AthleteSaid;
import org.yarbel.web.form.Typed;
import org.yarbel.web.page.Choice;

/** Works out the table of a contest's day. */
@Service
class DayPages {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);
  private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ENGLISH);
  static final String TABLE = "platform/table";
  private static final int NOTES = 30;
  private static final int NAMED = 6;

  private final ContestDays days;
  private final PlatformLog log;
  private final ClubClock clock;

  DayPages(ContestDays days, PlatformLog log, ClubClock clock) {
    this.days = days;
    this.log = log;
    this.clock = clock;
  }

  /**
   * What somebody looks at, and what was refused of it.
   *
   * @param athlete of whom something is entered; null for nobody
   * @param lift a key; null for the one they are at
   */
  record Wanted(@Nullable Long athlete, @Nullable String lift, Typed typed, AthleteView.@Nullable DiffersView differs) {
    static Wanted of(@Nullable Long athlete, @Nullable String lift) {
      return new Wanted(athlete, lift, new Typed(Map.of()), null);
    }

    static Wanted refused(@Nullable Long athlete, Typed typed) {
      return new Wanted(athlete, typed.text("lift"), typed, null);
    }
  }

  /** All that the page of the table shows. */
  @Transactional(readOnly = true)
  public Map<String, Object> model(long contestId, Wanted wanted) {
    Day day = days.day(contestId);
    Map<String, Object> model = new HashMap<>();
    model.put("day", view(day));
    model.put("panel", wanted.athlete() == null ? null : panel(day, day.athlete(wanted.athlete()), wanted.lift()));
    model.put("typed", wanted.typed().fields());
    model.put("errors", wanted.typed().errors());
    model.put("differs", wanted.differs());
    model.put("key", UUID.randomUUID());
    model.put("contested", day.rules().platform().lifts().stream().map(lift -> new Choice(lift, day.lift(lift))).toList());
    return model;
  }

  private DayView view(Day day) {
    Map<Long, ContestAthlete> byId = new HashMap<>();
    day.athletes().forEach(athlete -> byId.put(athlete.id(), athlete));
    Map<String, List<DayView.LineView>> classes = new LinkedHashMap<>();
    day.table().lines().forEach(line -> classes.computeIfAbsent(line.entrant().category(), name -> new ArrayList<>())
        .add(line(day, line, byId.get(line.entrant().id()))));
    day.athletes().stream().filter(athlete -> athlete.said().withdrawn()).forEach(athlete -> classes.computeIfAbsent(
        athlete.said().category(), name -> new ArrayList<>()).add(withdrawn(day, athlete)));
    Rpe cap = day.sheet().cap();
    return new DayView(day.contest().id(), day.contest().name(), date(day.contest().day()), day.sheet().mock(),
        cap == null ? null : cap.toString(), day.rules().platform().lifts().stream().map(day::lift).toList(), AthletePages.word(day),
        classes.entrySet().stream().map(one -> new DayView.ClassView(one.getKey(), one.getValue())).toList(), notes(day), cautions(day),
        day.athletes().size(), log.last(day.contest().id()));
  }

  private static List<String> cautions(Day day) {
    List<String> cautions = new ArrayList<>();
    day.athletes().forEach(athlete -> cautions.addAll(AthletePages.cautions(day, athlete)));
    List<String> unweighed = day.athletes().stream().filter(one -> one.said().bodyMass() == null).map(day::name).toList();
    if (!unweighed.isEmpty() && day.rules().platform().lighterFirst()) {
      int more = unweighed.size() - NAMED;
      cautions.add("Without a body mass there are no points, and no tie is decided: "
          + String.join(", ", unweighed.subList(0, Math.min(NAMED, unweighed.size()))) + (more > 0 ? " and " + more + " more" : "") + ".");
    }
    return cautions;
  }

  private static DayView.LineView line(Day day, MeetTable.Line line, ContestAthlete athlete) {
    boolean whole = line.entrant().total().isPresent();
    String place = line.place().number() == 0 ? "" : line.place().number() + (line.place().unweighed() ? "=" : "");
    return new DayView.LineView(entry(day, athlete), platform(day, athlete), day.name(athlete), athlete.ours(), body(athlete),
        lifts(day, athlete), shown(line.sum()), whole, shown(line.possible()), AthletePages.points(line.points()),
        line.byPoints() == 0 ? "" : Integer.toString(line.byPoints()), place, line.out() ? "out" : "");
  }

  /** A sum; empty where nothing was lifted. */
  static String shown(Mass sum) {
    return sum.isZero() ? "" : sum.number();
  }

  private static DayView.LineView withdrawn(Day day, ContestAthlete athlete) {
    return new DayView.LineView(entry(day, athlete), platform(day, athlete), day.name(athlete), athlete.ours(), body(athlete),
        lifts(day, athlete), "", false, "", "", "", "", "withdrawn");
  }

  private static String entry(Day day, ContestAthlete athlete) {
    return "/contests/" + day.contest().id() + "/day?athlete=" + athlete.id() + "#entry";
  }

  private static String platform(Day day, ContestAthlete athlete) {
    return "/contests/" + day.contest().id() + "/platform/" + athlete.id();
  }

  /** The body mass to the hundredth; empty where nobody was weighed. */
  static String body(ContestAthlete athlete) {
    Mass body = athlete.said().bodyMass();
    return body == null ? "" : body.amountIn(MassUnit.KG, 2).setScale(2, RoundingMode.HALF_UP).toPlainString();
  }

  /** The attempts of each lift in short. */
  static List<List<AthleteView.Chip>> lifts(Day day, ContestAthlete athlete) {
    return day.rules().platform().lifts().stream().map(lift -> AthletePages.chips(day.liftDay(athlete, lift))).toList();
  }

  /** A day in words. */
  static String date(@Nullable LocalDate on) {
    return on == null ? "no date yet" : DAY.format(on);
  }

  /** Who entered what, the newest first. */
  List<DayView.NoteView> notes(Day day) {
    Map<String, ContestAthlete> byKey = day.byKey();
    return log.newest(day.contest().id(), NOTES).stream().map(note -> {
      ContestAthlete athlete = byKey.get(Long.toString(note.athleteId()));
      // an entry of who a rival is says the name itself
      boolean named = athlete == null || !athlete.ours() && note.changed().spot().equals(PlatformLog.PERSON);
      return new DayView.NoteView(note.id(), (named ? "" : day.name(athlete) + ", ") + note.words(), note.author(),
          TIME.format(clock.local(note.saidAt())), note.undone());
    }).toList();
  }

  /** What is entered of one athlete. */
  private static DayView.EntryPanel panel(Day day, ContestAthlete athlete, @Nullable String wanted) {
    String lift = wanted != null && day.rules().platform().lifts().contains(wanted) ? wanted : day.current(athlete);
    LiftDay lifted = day.liftDay(athlete, lift);
    String load = lifted.toCome() == null ? "" : lifted.toCome().load().number();
    return new DayView.EntryPanel(athlete.id(), day.name(athlete), athlete.ours(), lift, day.lift(lift), lifted.next(), load,
        Kept.seen(lifted.toCome()), lifted.over(day.rules()), person(athlete));
  }

  private static Map<String, String> person(ContestAthlete athlete) {
    AthleteSaid said = athlete.said();
    Map<String, String> fields = new HashMap<>();
    fields.put("name", said.name());
    fields.put("sex", said.sex() == null ? "" : said.sex().name());
    fields.put("category", said.category());
    fields.put("flight", said.flight());
    fields.put("lot", said.lot() == null ? "" : said.lot().toString());
    fields.put("body", body(athlete));
    fields.put("expected", said.expected() == null ? "" : said.expected().number());
    fields.put("withdrawn", said.withdrawn() ? "yes" : "");
    return fields;
  }
}
