package org.yarbel.core.call;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.HowEnded;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.BodyPlace;
import org.yarbel.core.log.CheckIn;
import org.yarbel.core.log.Context;
import org.yarbel.core.log.RepSpeeds;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.plan.cycle.GoalCourse;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.watch.Figure;
import org.yarbel.core.watch.Figures;
import org.yarbel.core.watch.WatchedWeek;

/**
 * All that the rules ask of one lifter on a day: plan ahead, log behind, numbers with their history, what was said, what hurts. It
 * does not change, and the same picture makes the same calls.
 *
 * @param context what lines are worked out with
 * @param lifts by key
 * @param sessions behind and ahead, in order of their days; some weeks back and as far ahead as is written
 * @param answers what was said before sessions, in order of the days
 * @param complaints what hurts according to the lifter's page
 * @param weighed body masses in order of the days
 * @param contest the next one with a day; null without one
 * @param methods at work, or just ended
 * @param week this week as the checks see it; null where nobody looked
 */
public record Picture(LocalDate today, Person person, LifterContext context, Map<String, OfLift> lifts, List<Session> sessions,
    List<Answers> answers, List<Complaint> complaints, List<Weighed> weighed, @Nullable Contest contest, List<AtWork> methods,
    Deloads deloads, @Nullable WatchedWeek week, Figures figures) {
  public Picture {
    lifts = Map.copyOf(lifts);
    sessions = sessions.stream().sorted(Comparator.comparing(Session::day)).toList();
    answers = answers.stream().sorted(Comparator.comparing(Answers::day)).toList();
    complaints = List.copyOf(complaints);
    weighed = weighed.stream().sorted(Comparator.comparing(Weighed::day)).toList();
    methods = List.copyOf(methods);
  }

  /**
   * Who it is.
   *
   * @param level over all, the highest of the main lifts; null where nobody said
   * @param strained whether they diet, work physically or in shifts
   * @param free days of the week that can be trained on; none where nobody said
   */
  public record Person(@Nullable Level level, boolean strained, Set<DayOfWeek> free) {}

  /** How much of what the log says moves the loads by itself. */
  public enum Moves {
    /** Loads of the estimated max follow it. */
    FOLLOW("follow"),
    /** They follow it up to 2 % from the last that the coach took; beyond that it asks. */
    ASK("ask above 2 %"),
    /** They stay until the coach says. */
    HOLD("hold until I say");

    private final String word;

    Moves(String word) {
      this.word = word;
    }

    /** The words a person reads: {@code ask above 2 %}. */
    public String word() {
      return word;
    }
  }

  /**
   * What is known of a lift beside its numbers of today.
   *
   * @param tested null without one
   * @param points the tracked max after each logged day, the oldest first
   * @param heaviest ever made; null where nothing was
   * @param course the way to its goal; null without one
   * @param trainingShare of the estimate, 0.5 to 0.95, that a training max is
   */
  public record OfLift(Lift lift, Level level, @Nullable Mass tested, @Nullable LocalDate testedOn, List<Point> points,
      @Nullable Mass heaviest, @Nullable GoalCourse course, double trainingShare, Moves moves) {
    public OfLift {
      points = points.stream().sorted(Comparator.comparing(Point::day)).toList();
    }

    /** The newest points, the newest last; fewer when there are fewer. */
    List<Point> last(int count) {
      return points.subList(Math.max(0, points.size() - count), points.size());
    }
  }

  /** The tracked max after a logged day. */
  public record Point(LocalDate day, Mass max, Mass sd) {}

  /**
   * A session, planned or lifted.
   *
   * @param id what the caller knows it by
   * @param day it is planned for, or was lifted on
   * @param ended whether the lifter has said that it is over
   * @param eased whether the lifter has chosen an easier one for a low day
   */
  public record Session(long id, LocalDate day, boolean ended, boolean eased, List<Line> lines) {
    public Session {
      lines = List.copyOf(lines);
    }

    /** Whether anything of it was lifted. */
    public boolean begun() {
      return lines.stream().anyMatch(Line::begun);
    }
  }

  /**
   * A line of a session.
   *
   * @param ref what it is known by
   * @param planned what it asks
   * @param method what writes it; null where somebody wrote it
   * @param edited whether somebody changed what its method wrote
   * @param remark what its method says of it; empty for nothing
   * @param sets that were lifted, in order
   */
  public record Line(UUID ref, SlotKind kind, PlannedLine planned, @Nullable AtWork method, boolean edited, String remark,
      List<Lifted> sets) {
    public Line {
      sets = List.copyOf(sets);
    }

    /** What is lifted. */
    public Lift lift() {
      return planned.lift();
    }

    /** Whether sets of it are logged. */
    public boolean begun() {
      return !sets.isEmpty();
    }

    /** Whether its method writes the next exposure from the log by itself. */
    boolean remembered() {
      return method != null && method.method().rule().memory();
    }
  }

  /**
   * A set that was lifted.
   *
   * @param id what the caller knows it by
   * @param reps good ones, 0 for a miss
   * @param asked the least reps that were asked; null where it was open
   * @param askedLoad null where the lifter picked
   * @param target the RPE that was asked, the middle of a range; null for none
   * @param open whether as many as go were asked
   * @param rated null unrated
   * @param easier rated under 6
   * @param ended why there were no more reps; null where nobody said
   * @param state what was not as usual
   * @param extra whether it was done beside what was asked
   */
  public record Lifted(long id, Lift lift, int part, Mass load, int reps, @Nullable Integer asked, @Nullable Mass askedLoad,
      @Nullable Double target, boolean open, @Nullable Rpe rated, boolean easier, @Nullable HowEnded ended, Set<Context> state,
      List<TechniqueMark> marks, @Nullable RepSpeeds speeds, boolean extra) {
    /** Rated under 6 stands for this. Our own default. */
    private static final double EASIER = 5.5;

    /** Whether something was not as usual. */
    public boolean flagged() {
      return !state.isEmpty();
    }

    /** Whether fewer reps were made than were asked at the least, and for want of strength. */
    boolean missed() {
      return asked != null && reps < asked && (ended == null || ended == HowEnded.COULD_NOT);
    }

    /** Whether it was one rep that was tried. */
    boolean single() {
      return reps <= 1 && asked != null && asked == 1;
    }

    /** How hard it was; not a number where nobody said. */
    double effort() {
      if (easier) {
        return EASIER;
      }
      return rated == null ? Double.NaN : rated.value();
    }

    /** How far it was off what was asked: over 0 harder. Not a number where either is not known. */
    double off() {
      return target == null || reps == 0 ? Double.NaN : effort() - target;
    }
  }

  /** What was said before the session of a day. */
  public record Answers(long id, LocalDate day, CheckIn said) {
    private static final int BAD = 2;

    /** Whether it was a bad day to lift on: short sleep, no energy, sore joints, or far from calm. Our own choice. */
    boolean bad() {
      return said.sleep() != null && said.sleep() < CheckIn.SHORT_UNDER || low(said.energy()) || low(said.joints())
          || low(said.stress());
    }

    private static boolean low(@Nullable Integer answer) {
      return answer != null && answer <= BAD;
    }
  }

  /**
   * What hurts according to the lifter's page.
   *
   * @param place null where its words name none
   * @param score null where nobody said
   */
  public record Complaint(long id, @Nullable BodyPlace place, String words, LocalDate since, @Nullable Integer score) {}

  /** A body mass. */
  public record Weighed(long id, LocalDate day, Mass mass) {}

  /**
   * The next contest.
   *
   * @param limit of the class entered; null for none, or an open one
   */
  public record Contest(long id, String name, LocalDate day, @Nullable Mass limit) {}

  /**
   * A method at work on a lift, or one that was just ended.
   *
   * @param settings what was set of it, by key
   * @param endsOn the day from which it writes nothing more; null while it goes on
   */
  public record AtWork(UUID ref, String lift, Method method, Map<String, String> settings, LocalDate startsOn, @Nullable LocalDate endsOn) {
    /** Whether it writes on a day. */
    boolean runsOn(LocalDate day) {
      return !startsOn.isAfter(day) && (endsOn == null || endsOn.isAfter(day));
    }
  }

  /**
   * Easy weeks.
   *
   * @param weeksSince whole weeks with training behind the last one
   * @param planned Mondays of those to come, this week included
   * @param behind Mondays of those of the last twelve weeks
   * @param kind the one this lifter takes
   */
  public record Deloads(int weeksSince, List<LocalDate> planned, List<LocalDate> behind, Deload kind) {
    public Deloads {
      planned = planned.stream().sorted().toList();
      behind = behind.stream().sorted().toList();
    }
  }

  /** The figure that holds here. */
  double of(Figure figure) {
    return figures.of(figure);
  }

  /** Sessions of days behind or of today that were begun, the newest first. */
  List<Session> lifted() {
    List<Session> lifted = new ArrayList<>(sessions.stream().filter(session -> session.begun() && !session.day().isAfter(today)).toList());
    lifted.sort(Comparator.comparing(Session::day).reversed());
    return lifted;
  }

  /** Sessions from today on of which nothing is lifted, the nearest first. */
  List<Session> ahead() {
    return sessions.stream().filter(session -> !session.day().isBefore(today) && !session.begun() && !session.ended()).toList();
  }

  /** The exposures of a lift behind, the newest first. */
  List<Past> exposures(String lift) {
    List<Past> all = new ArrayList<>();
    for (Session session : lifted()) {
      List<Line> lines = session.lines().stream().filter(line -> line.kind().mainWork() && line.begun() && line.lift().key().equals(lift))
          .toList();
      Past past = new Past(session, lines, answers(session.day()).orElse(null));
      if (!past.sets().isEmpty()) {
        all.add(past);
      }
    }
    return all;
  }

  /** What a lift is called. */
  String name(String lift) {
    return context.lift(lift).name();
  }

  /** The keys of the lifts that main work was done of, in their order. */
  Set<String> trained() {
    Set<String> keys = new TreeSet<>();
    lifted().forEach(session -> session.lines().stream().filter(line -> line.kind().mainWork() && line.begun())
        .forEach(line -> keys.add(line.lift().key())));
    return keys;
  }

  /** Lines of main work of a lift to come, the nearest first. */
  List<Planned> planned(String lift) {
    List<Planned> all = new ArrayList<>();
    ahead().forEach(session -> session.lines().stream().filter(line -> line.kind().mainWork() && line.lift().key().equals(lift))
        .forEach(line -> all.add(new Planned(session, line))));
    return all;
  }

  /** The same without what a method writes from the log by itself. */
  List<Planned> editable(String lift) {
    return planned(lift).stream().filter(planned -> !planned.line().remembered()).toList();
  }

  /** A line to come, with the session it stands in. */
  record Planned(Session session, Line line) {}

  /** What was said on a day. */
  Optional<Answers> answers(LocalDate day) {
    return answers.stream().filter(said -> said.day().equals(day)).findFirst();
  }

  /** The number of a lift that a line without a basis of its own is of. */
  Basis basis(Lift lift) {
    return context.basis(lift);
  }

  /**
   * How many points harder a lifter's sets are than they are rated in a lift, as the tracker has learned it from all sets: over 0 for one
   * who
   * claims too many reps in reserve. 0 where nothing is known.
   */
  double rates(Lift lift) {
    return context.tracked(lift).map(known -> known.standing().on(known.standing().day()).learned().ratingBias().value()).orElse(0.0);
  }

  /** Whether anything of a lift was missed in two weeks with nothing off: nobody raises on the heels of a miss. Our own default. */
  boolean missedLately(String lift) {
    return exposures(lift).stream().filter(past -> past.day().isAfter(today.minusDays(LATELY))).flatMap(past -> past.sets().stream())
        .anyMatch(set -> set.missed() && !set.flagged());
  }

  private static final int LATELY = 14;
  private static final double LIGHT = 0.6;

  /** Whether a load is light work for the lifter: under 60 % of the best number there is. */
  boolean light(Lift lift, Mass load) {
    Mass max = context.numbers(lift).best();
    return max != null && load.ratioTo(max) < LIGHT;
  }

  /** The step of the lifter's unit. */
  Mass step() {
    return Mass.of(context.unit().usualStep(), context.unit());
  }

  /** The method that writes a lift now. */
  Optional<AtWork> method(String lift) {
    return methods.stream().filter(method -> method.lift().equals(lift) && method.runsOn(today)).findFirst();
  }

  /** Whether a method with memory writes a lift: it speaks first. */
  boolean remembered(String lift) {
    return method(lift).filter(method -> method.method().rule().memory()).isPresent();
  }

  /** Pains that stand, the worst first: by the newest word on each place, within two weeks, or on the lifter's page. */
  List<Standing> pains() {
    Map<String, Standing> newest = new TreeMap<>();
    LocalDate from = today.minusDays(Standing.LASTS);
    answers.stream().filter(said -> said.day().isAfter(from)).forEach(said -> said.said().pains()
        .forEach(pain -> newest.put(pain.where(), new Standing(pain.place(), pain.where(), pain.score(), said.day()))));
    complaints.stream().filter(complaint -> complaint.place() != null && complaint.score() != null)
        .forEach(complaint -> newest.merge(complaint.words(), new Standing(complaint.place(), complaint.words(), complaint.score(),
            complaint.since()), (said, told) -> said));
    return newest.values().stream().filter(pain -> pain.score() >= of(CallFigure.CALL_PAIN))
        .sorted(Comparator.comparingInt(Standing::score).reversed()).toList();
  }

  /** A pain that stands. */
  record Standing(BodyPlace place, String where, int score, LocalDate told) {
    /** A word on a pain holds for so many days. Our own default. */
    static final int LASTS = 14;
  }

  /** Whether a lift loads a place that hurts. */
  boolean hurts(Lift lift) {
    return pains().stream().anyMatch(pain -> pain.place().loadedBy(lift));
  }

  /** The same planned with another number. */
  Picture with(Effect.Number edit) {
    return knowing(edit.lift(), known -> new LifterContext.Known(LineChange.numbers(known.numbers(), edit), known.basis(), known.ratio(),
        known.chart(), known.level(), known.tracked()));
  }

  /** The same with percentages of another number. */
  Picture with(Effect.OfBasis edit) {
    return knowing(edit.lift(), known -> new LifterContext.Known(known.numbers(), edit.after(), known.ratio(), known.chart(),
        known.level(), known.tracked()));
  }

  private Picture knowing(String lift, UnaryOperator<LifterContext.Known> other) {
    Map<String, LifterContext.Known> known = new HashMap<>(context.known());
    known.computeIfPresent(lift, (key, own) -> other.apply(own));
    LifterContext then = new LifterContext(context.unit(), context.bodyMass(), known, context.ramp(), context.lifts(), context.kit());
    return new Picture(today, person, then, lifts, sessions, answers, complaints, weighed, contest, methods, deloads, week, figures);
  }
}
