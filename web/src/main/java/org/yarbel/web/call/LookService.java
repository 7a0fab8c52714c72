package org.yarbel.web.call;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.call.LineChange;
import org.yarbel.core.call.Picture;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.log.CheckIn;
import org.yarbel.core.log.SessionEffort;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.SetInWords;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.session.SessionLog;
import org.yarbel.web.session.SessionLogRepository;
import org.yarbel.web.session.SessionNotes;
import org.yarbel.web.session.SessionWord;
import org.yarbel.web.session.SessionWordRepository;
import org.yarbel.web.skyline.Skyline;
import org.yarbel.web.skyline.Sparkline;
import org.yarbel.web.who.SignedIn;

/** Reads a lifter's week for the weekly look, and sends what a coach says of it. */
@Service
class LookService {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
  private static final DateTimeFormatter WEEK = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);
  private static final double WIDTH = 300;
  private static final double HEIGHT = 52;
  private static final Limit WORDS = Limit.of(20);
  private static final int SPARK_WIDTH = 120;
  private static final int SPARK_HEIGHT = 22;

  private final LifterRepository lifters;
  private final PictureReader reader;
  private final SessionLogRepository sessionLogs;
  private final SessionWordRepository words;
  private final TrainingSessionRepository sessions;
  private final LoggedSetRepository log;
  private final WeeklyLookRepository looks;
  private final SessionNotes notes;
  private final ClipCounts clips;
  private final ClubClock clock;

  LookService(LifterRepository lifters, PictureReader reader, SessionLogRepository sessionLogs, SessionWordRepository words,
      TrainingSessionRepository sessions, LoggedSetRepository log, WeeklyLookRepository looks, SessionNotes notes, ClipCounts clips,
      ClubClock clock) {
    this.lifters = lifters;
    this.reader = reader;
    this.sessionLogs = sessionLogs;
    this.words = words;
    this.sessions = sessions;
    this.log = log;
    this.looks = looks;
    this.notes = notes;
    this.clips = clips;
    this.clock = clock;
  }

  Lifter lifter(long id) {
    return lifters.findById(id).orElseThrow(NotFound::new);
  }

  /** As it is called: {@code Week of 2 March 2026}. */
  static String week(LocalDate monday) {
    return "Week of " + WEEK.format(monday);
  }

  /** The week of a Monday, not further back than the rules look. */
  @Transactional(readOnly = true)
  LookView look(long lifterId, LocalDate monday) {
    Lifter lifter = lifter(lifterId);
    PictureReader.Read read = reader.read(lifter);
    Week week = new Week(lifter, read, monday);
    Optional<WeeklyLook> sent = looks.findByLifterIdAndMonday(lifterId, monday);
    List<TrainingSession> rows = read.rows().stream().filter(row -> !row.day().isBefore(monday) && row.day().isBefore(monday.plusWeeks(1)))
        .toList();
    List<Long> ids = rows.stream().map(TrainingSession::id).toList();
    List<SessionLog> logs = ids.isEmpty() ? List.of() : sessionLogs.findBySessionIdIn(ids);
    List<LookView.SessionView> shown = rows.stream().filter(row -> !read.slots().getOrDefault(row.id(), List.of()).isEmpty())
        .map(row -> session(week, row, logs)).toList();
    return new LookView(lifterId, lifter.name(), lifter.unit().symbol(), week(monday), monday.toString(), shown,
        answers(read.picture()), hurts(read), week.moved(), open(week, rows), next(read.picture(), monday.plusWeeks(1)),
        sent.map(look -> look.sentBy() + ", " + DAY.format(look.sentAt().atZone(clock.zone()))).orElse(null),
        sent.map(WeeklyLook::word).orElse(null));
  }

  /** A week of a lifter with what was read. */
  private record Week(Lifter lifter, PictureReader.Read read, LocalDate monday) {
    Picture picture() {
      return read.picture();
    }

    Picture.Session session(long id) {
      return picture().sessions().stream().filter(session -> session.id() == id).findFirst().orElseThrow(NotFound::new);
    }

    List<LoggedSetRow> done(TrainingSession row) {
      return read.done().values().stream().flatMap(List::stream).filter(set -> set.sessionId() == row.id()).toList();
    }

    /** The maxes that moved in the week. */
    List<LookView.MovedMax> moved() {
      List<LookView.MovedMax> all = new ArrayList<>();
      picture().lifts().values().stream().sorted((one, other) -> one.lift().name().compareTo(other.lift().name())).forEach(lift -> {
        Picture.Point before = null;
        Picture.Point after = null;
        for (Picture.Point point : lift.points()) {
          before = point.day().isBefore(monday) ? point : before;
          after = point.day().isBefore(monday.plusWeeks(1)) ? point : after;
        }
        if (after != null && !after.day().isBefore(monday)) {
          double by = before == null ? 0 : 100 * (after.max().ratioTo(before.max()) - 1);
          all.add(new LookView.MovedMax(lift.lift().name(), lift.lift().key(), before == null ? "" : tenth(before.max()),
              tenth(after.max()),
              before == null ? "first" : (by < 0 ? "−" : "+") + Math.rint(10 * Math.abs(by)) / 10 + " %"));
        }
      });
      return all;
    }

    private static String tenth(Mass mass) {
      return mass.amountIn(mass.unit(), 1).stripTrailingZeros().toPlainString();
    }
  }

  private LookView.SessionView session(Week week, TrainingSession row, List<SessionLog> logs) {
    Picture.Session session = week.session(row.id());
    MassUnit unit = week.lifter().unit();
    List<LoggedSetRow> done = week.done(row);
    List<Skyline.SkylineLine> lines = new ArrayList<>();
    List<String> works = new ArrayList<>();
    for (Slot slot : week.read().slots().getOrDefault(row.id(), List.of())) {
      session.lines().stream().filter(line -> line.ref().equals(slot.ref())).findFirst().ifPresent(line -> {
        ResolvedLine resolved = LineChange.resolved(week.picture(), line.planned());
        works.add(line.lift().name() + " " + line.planned().work());
        if (resolved != null && line.kind().counts()) {
          lines.add(new Skyline.SkylineLine(resolved.with(week.read().done().getOrDefault(slot.ref(), List.of()).stream()
              .map(LoggedSetRow::loggedSet).toList()), week.picture().context().drawnAgainst(line.lift()), line.lift().name()));
        }
      });
    }
    boolean past = row.day().isBefore(clock.today());
    String left = past ? "not begun" : "to come";
    String state = done.isEmpty() ? left : done.size() + (done.size() == 1 ? " set" : " sets");
    SessionLog said = logs.stream().filter(one -> one.sessionId() == row.id()).findFirst().orElse(null);
    return new LookView.SessionView(row.id(), DAY.format(row.day()), state, done.isEmpty() && past, lines.isEmpty() ? null
        : Skyline.of(lines, WIDTH, HEIGHT), works, off(week, done, unit), marks(session),
        words.findBySessionIdOrderById(row.id(), WORDS).stream().map(LookService::word).toList(), clips.of(row.id()), effort(said));
  }

  private List<String> off(Week week, List<LoggedSetRow> done, MassUnit unit) {
    return done.stream().filter(set -> new SetInWords(set).offPlan()).map(set -> {
      SetInWords told = new SetInWords(set);
      String lift = reader.liftName(set.lift()).orElse(set.lift());
      String other = set.askedLift();
      return lift + " " + told.done(unit) + ", " + told.asked(unit, Optional.ofNullable(other)
          .flatMap(key -> week.picture().context().lifts()
          .ofKey(key))) + (set.state().words().isEmpty() ? "" : ", " + set.state().words());
    }).toList();
  }

  private static List<String> marks(Picture.Session session) {
    return session.lines().stream().flatMap(line -> line.sets().stream()).flatMap(set -> set.marks().stream().map(mark -> set.lift().name()
        + " " + set.load().number() + ": " + mark.word())).collect(Collectors.groupingBy(Function.identity(), Collectors.counting()))
            .entrySet()
        .stream().map(entry -> entry.getKey() + (entry.getValue() > 1 ? " ×" + entry.getValue() : "")).sorted().toList();
  }

  private static LookView.WordView word(SessionWord word) {
    return new LookView.WordView(word.author(), word.words(), word.byCoach());
  }

  private static String effort(@Nullable SessionLog said) {
    SessionEffort effort = said == null ? null : said.effort();
    Integer minutes = said == null ? null : said.minutes();
    String hard = effort == null ? "" : effort.words();
    String long_ = minutes == null ? "" : minutes + " min";
    return hard + (hard.isEmpty() || long_.isEmpty() ? "" : ", ") + long_;
  }

  private static List<LookView.AnswerLine> answers(Picture picture) {
    List<LookView.AnswerLine> lines = new ArrayList<>();
    answer(picture, "sleep, h", said -> said.sleep() == null ? null : Double.valueOf(said.sleep() / 2.0), lines);
    answer(picture, "energy", said -> number(said.energy()), lines);
    answer(picture, "joints", said -> number(said.joints()), lines);
    answer(picture, "calm", said -> number(said.stress()), lines);
    return lines;
  }

  private static @Nullable Double number(@Nullable Integer answer) {
    return answer == null ? null : Double.valueOf(answer);
  }

  private static void answer(Picture picture, String what, Function<CheckIn, @Nullable Double> of, List<LookView.AnswerLine> lines) {
    List<Double> values = picture.answers().stream().map(said -> of.apply(said.said())).filter(Objects::nonNull).map(value ->
        Objects.requireNonNull(value)).toList();
    if (!values.isEmpty()) {
      double newest = values.get(values.size() - 1);
      List<Double> last = values.subList(Math.max(0, values.size() - 14), values.size());
      lines.add(new LookView.AnswerLine(what, newest % 1 == 0 ? Long.toString((long) newest) : Double.toString(newest),
          Sparkline.of(last, SPARK_WIDTH, SPARK_HEIGHT)));
    }
  }

  private static List<String> hurts(PictureReader.Read read) {
    List<String> hurts = new ArrayList<>();
    LocalDate from = read.picture().today().minusDays(14);
    read.picture().answers().stream().filter(said -> said.day().isAfter(from)).forEach(said -> said.said().pains().forEach(pain ->
        hurts.add(0, DAY.format(said.day()) + ": " + pain.words())));
    read.hurts().forEach(complaint -> hurts.add(complaint.words() + ", since " + DAY.format(complaint.since())));
    return hurts;
  }

  /** Sets that were open, against the minimum and what was the best at that load before. */
  private List<LookView.PlusView> open(Week week, List<TrainingSession> rows) {
    List<LookView.PlusView> all = new ArrayList<>();
    for (TrainingSession row : rows) {
      week.session(row.id()).lines().forEach(line -> line.sets().stream().filter(set -> set.open() && set.reps() > 0)
          .forEach(set -> all.add(plus(week, row, set))));
    }
    return all;
  }

  private LookView.PlusView plus(Week week, TrainingSession row, Picture.Lifted set) {
    int best = log.mostRepsBefore(week.lifter().id(), set.lift().key(), set.load().nanograms(), row.day());
    return new LookView.PlusView(DAY.format(row.day()), set.lift().name(), set.reps() + " at " + set.load().text(), set.asked() == null
        ? "open"
        : "of " + set.asked(), best == 0 ? "first at that load" : "best before " + best, set.reps() > best);
  }

  private static List<LookView.NextDay> next(Picture picture, LocalDate monday) {
    List<LookView.NextDay> days = new ArrayList<>();
    picture.sessions().stream().filter(session -> !session.day().isBefore(monday) && session.day().isBefore(monday.plusWeeks(1)))
        .forEach(session -> days.add(new LookView.NextDay(DAY.format(session.day()), session.lines().stream()
            .filter(line -> line.kind().counts())
            .map(line -> new LookView.NextLine(line.lift().name(), line.planned().work(),
                Shown.loads(LineChange.resolved(picture, line.planned())))).toList())));
    return days;
  }

  /** Sends a word and the week to the lifter, dated; the word stands on their next Card. */
  @Transactional
  public void send(long lifterId, LocalDate monday, String word, SignedIn who) {
    Lifter lifter = lifter(lifterId);
    WeeklyLook look = looks.findByLifterIdAndMonday(lifter.id(), monday).orElseGet(() -> new WeeklyLook(lifter.id(), monday));
    look.send(word, who.name(), clock.now());
    looks.saveAndFlush(look);
    if (!word.isEmpty()) {
      sessions.findByLifterIdAndDayBetweenOrderByDay(lifterId, monday, clock.today()).stream().reduce((one, next) -> next)
          .ifPresent(session -> notes.say(session, who, UUID.randomUUID(), word, Long.MAX_VALUE));
    }
  }
}
