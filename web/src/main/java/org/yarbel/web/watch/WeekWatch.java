package org.yarbel.web.watch;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Role;
import org.yarbel.core.card.Singles;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.CountedSet;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.Groups;
import org.yarbel.core.plan.SessionTime;
import org.yarbel.core.plan.WeekTotals;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Settings;
import org.yarbel.core.track.Standing;
import org.yarbel.core.watch.Around;
import org.yarbel.core.watch.Athlete;
import org.yarbel.core.watch.Checks;
import org.yarbel.core.watch.Finding;
import org.yarbel.core.watch.WatchedLine;
import org.yarbel.core.watch.WatchedWeek;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.lifter.Complaint;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.program.DeloadWeek;
import org.yarbel.web.program.DeloadWeekRepository;
import org.yarbel.web.program.EasyWeeks;
import org.yarbel.web.program.Progression;
import org.yarbel.web.program.ProgressionRepository;

/** Looks at a lifter's week with the core's checks, from what is planned and, of days behind, was trained. */
@Service
public class WeekWatch {
  /** So many weeks before the one looked at are needed. */
  public static final int WEEKS_BACK = 5;

  private static final int PAST_WEEKS = 3;

  private final Thresholds thresholds;
  private final ProgressionRepository progressions;
  private final DeloadWeekRepository deloads;
  private final TrainingSessionRepository sessions;
  private final ClubClock clock;

  WeekWatch(Thresholds thresholds, ProgressionRepository progressions, DeloadWeekRepository deloads,
      TrainingSessionRepository sessions,
      ClubClock clock) {
    this.thresholds = thresholds;
    this.progressions = progressions;
    this.deloads = deloads;
    this.sessions = sessions;
    this.clock = clock;
  }

  /**
   * A day with its lines worked out.
   *
   * @param lines by slot, with what was done in them; those that cannot be worked out are missing
   * @param asked the same as they were asked, as far as they were done where the day is behind: by them volume is compared
   * @param trained whether anything of it is logged
   */
  public record WatchedDay(LocalDate date, List<Slot> slots, Groups groups, LifterContext context, Map<Long, ResolvedLine> lines,
      Map<Long, ResolvedLine> asked, boolean trained) {}

  /**
   * What is seen in a week.
   *
   * @param findings those that are not silenced
   * @param silenced what was found and is silenced
   * @param minutes of each day
   * @param past the lines of the weeks before, for the recovery picture
   */
  public record SeenWeek(WatchedWeek week, WeekTotals totals, List<Finding> findings, List<Finding> silenced,
      Map<LocalDate, Integer> minutes, List<CountedLine> past, List<Progression> methods, @Nullable DeloadWeek deload) {}

  /**
   * Looks at a week.
   *
   * @param numbers of the lifter
   * @param hurts complaints that are not over
   * @param quiet what is silenced
   * @param before the days of the {@link #WEEKS_BACK} weeks before
   * @param days of the week itself
   */
  @Transactional(readOnly = true)
  public SeenWeek look(Lifter lifter, LocalDate monday, List<LiftNumbers> numbers, List<Complaint> hurts, Set<String> quiet,
      List<WatchedDay> before, List<WatchedDay> days) {
    List<Progression> methods = progressions.findByLifterIdOrderById(lifter.id());
    List<Progression> running = methods.stream().filter(p -> p.runsOn(monday) && p.startsOn().isBefore(monday.plusWeeks(1))).toList();
    Map<LocalDate, DeloadWeek> easy = deloads.findByLifterIdAndMondayBetween(lifter.id(),
        monday.minusWeeks(WatchedWeek.LOOKED_BACK), monday.plusWeeks(1)).stream()
        .collect(Collectors.toMap(DeloadWeek::monday, week -> week));
    List<WatchedDay> trained = before.stream().filter(day -> day.trained() || !day.date().isBefore(clock.today())).toList();
    List<CountedLine> past = trained.stream().flatMap(day -> counted(day, day.lines()).values().stream()).toList();
    List<CountedLine> asked = trained.stream().flatMap(day -> counted(day, day.asked()).values().stream()).toList();
    boolean deloadFollows = easy.containsKey(monday.plusWeeks(1)) || EasyWeeks.own(running, monday.plusWeeks(1));
    Around around = new Around(clock.today(), past.stream().filter(line -> !line.day().isBefore(monday.minusWeeks(1))).toList(),
        deloadFollows, clusters(past));
    WatchedWeek week = new WatchedWeek(monday, athlete(lifter, numbers, hurts, running, days, before), watched(days, methods),
        pastWeeks(asked, monday, easy.keySet()),
        lastTrained(numbers, days, before), weeksSince(lifter, methods, monday, easy.keySet()), Optional.ofNullable(easy.get(monday))
            .map(DeloadWeek::kind).orElse(null),
        running.stream().anyMatch(p -> peaking(p, monday)), thresholds.values(), around);
    List<Finding> all = Checks.look(week);
    Map<LocalDate, Integer> minutes = new TreeMap<>();
    days.forEach(day -> minutes.put(day.date(), minutes(day)));
    return new SeenWeek(week, week.totals(), all.stream().filter(f -> !quiet.contains(f.check() + "/" + f.lift())).toList(),
        all.stream().filter(f -> quiet.contains(f.check() + "/" + f.lift())).toList(), minutes, past, running, easy.get(monday));
  }

  private static boolean peaking(Progression method, LocalDate monday) {
    return method.method().rule().peaking(settings(method), (int) Math.max(0, ChronoUnit.WEEKS.between(method.startsOn(), monday)));
  }

  private static Settings settings(Progression method) {
    return Settings.check(method.method(), method.settings(), Catalogue.standard()).settings();
  }

  /** The last cluster of each lift that had a round with too few singles, unless a later one had none. */
  private static Map<String, Around.ShortCluster> clusters(List<CountedLine> past) {
    Map<String, Around.ShortCluster> clusters = new HashMap<>();
    past.stream().sorted(Comparator.comparing(CountedLine::day)).forEach(line -> {
      List<ResolvedSet> rounds = line.sets().stream().map(CountedSet::set).filter(set -> set.logged() && set.role() == Role.CLUSTER
          && set.load() != null).toList();
      if (!rounds.isEmpty()) {
        clusters.remove(line.lift().key());
        rounds.stream().filter(set -> set.reps() != null && set.reps() < Singles.FEW_IN_A_ROUND)
            .min(Comparator.comparing(ResolvedSet::reps))
            .ifPresent(few -> clusters.put(line.lift().key(), new Around.ShortCluster(line.day(), few.load(), few.reps())));
      }
    });
    return clusters;
  }

  private static Map<Long, CountedLine> counted(WatchedDay day) {
    return counted(day, day.lines());
  }

  private static Map<Long, CountedLine> counted(WatchedDay day, Map<Long, ResolvedLine> of) {
    Map<Long, CountedLine> lines = new LinkedHashMap<>();
    for (Slot slot : day.slots()) {
      ResolvedLine resolved = of.get(slot.id());
      if (resolved != null) {
        Lift lift = day.context().lift(slot.lift());
        lines.put(slot.id(), CountedLine.of(slot.id(), day.date(), slot.kind(), lift, resolved, day.context()));
      }
    }
    return lines;
  }

  private static List<WatchedLine> watched(List<WatchedDay> days, List<Progression> methods) {
    Map<UUID, Method> byRef = methods.stream().collect(Collectors.toMap(Progression::ref, Progression::method));
    List<WatchedLine> lines = new ArrayList<>();
    for (WatchedDay day : days) {
      int place = 0;
      Map<Long, CountedLine> counted = counted(day);
      Map<Long, CountedLine> asked = counted(day, day.asked());
      for (Slot slot : day.slots()) {
        place++;
        CountedLine line = counted.get(slot.id());
        if (line != null) {
          Slot.Origin origin = slot.origin();
          lines.add(new WatchedLine(line, asked.getOrDefault(slot.id(), line), WorkLine.parse(slot.work()).line(),
              day.context().basisMax(line.lift()), day.context().level(line.lift()),
              origin == null ? null : byRef.get(origin.progression()), slot.edited(), slot.forecast(), day.context().kit()
              .bar(line.lift(), slot.details()
                  .bar()).orElse(null), place));
        }
      }
    }
    return lines;
  }

  private static List<WeekTotals> pastWeeks(List<CountedLine> past, LocalDate monday, Set<LocalDate> easy) {
    List<WeekTotals> weeks = new ArrayList<>();
    for (int back = 1; back <= WEEKS_BACK && weeks.size() < PAST_WEEKS; back++) {
      LocalDate from = monday.minusWeeks(back);
      List<CountedLine> lines = past.stream().filter(line -> !line.day().isBefore(from) && line.day().isBefore(from.plusWeeks(1))).toList();
      if (!lines.isEmpty() && !easy.contains(from)) {
        weeks.add(0, WeekTotals.of(lines));
      }
    }
    return weeks;
  }

  private static Map<String, LocalDate> lastTrained(List<LiftNumbers> numbers, List<WatchedDay> days, List<WatchedDay> before) {
    LifterContext context = Optional.ofNullable(first(days)).or(() -> Optional.ofNullable(first(before))).map(WatchedDay::context)
        .orElse(null);
    Map<String, LocalDate> last = new HashMap<>();
    if (context != null) {
      numbers.forEach(own -> context.lifts().ofKey(own.lift()).ifPresent(lift -> own.standing().map(Standing::lastTrained)
          .ifPresent(day -> {
        last.merge(context.lifts().family(lift).key(), day, (a, b) -> a.isAfter(b) ? a : b);
      })));
    }
    return last;
  }

  private static @Nullable WatchedDay first(List<WatchedDay> days) {
    return days.isEmpty() ? null : days.get(0);
  }

  /** Weeks with training running up to a Monday, back to an easy one or one without any. */
  public int weeksSince(Lifter lifter, List<Progression> methods, LocalDate monday, Set<LocalDate> easy) {
    LocalDate from = monday.minusWeeks(WatchedWeek.LOOKED_BACK);
    Set<LocalDate> trained = sessions.trainedDays(lifter.id(), from, monday.minusDays(1), clock.today()).stream()
        .map(Macrocycle::monday).collect(Collectors.toSet());
    int weeks = 0;
    for (LocalDate week = monday.minusWeeks(1); trained.contains(week) && !easy.contains(week)
        && !EasyWeeks.own(methods, week); week = week.minusWeeks(1)) {
      weeks++;
    }
    return weeks;
  }

  private Athlete athlete(Lifter lifter, List<LiftNumbers> numbers, List<Complaint> hurts, List<Progression> running,
      List<WatchedDay> days, List<WatchedDay> before) {
    LifterContext context = Optional.ofNullable(first(days)).or(() -> Optional.ofNullable(first(before))).map(WatchedDay::context)
        .orElse(null);
    List<Athlete.OfLift> lifts = numbers.stream().map(own -> ofLift(own, lifter.unit(), running, context == null ? Optional.empty()
        : context.lifts().ofKey(own.lift()))).toList();
    Set<String> main = lifts.stream().filter(Athlete.OfLift::powerlift).map(Athlete.OfLift::lift).collect(Collectors.toSet());
    Map<String, Mass> heaviest = new HashMap<>();
    numbers.stream().filter(own -> main.contains(own.lift()) && own.heaviest(lifter.unit()) != null)
        .forEach(own -> heaviest.put(own.lift(), Objects.requireNonNull(own.heaviest(lifter.unit()))));
    Map<String, List<Method>> methods = running.stream().collect(Collectors.groupingBy(Progression::lift,
        Collectors.mapping(Progression::method, Collectors.toList())));
    Integer age = lifter.birthYear() == null ? null : Integer.valueOf(clock.today().getYear() - lifter.birthYear());
    List<Athlete.Pain> pains = hurts.stream().filter(pain -> pain.score() != null)
        .map(pain -> new Athlete.Pain(pain.place(), pain.score())).toList();
    return Athlete.of(new Athlete.Person(lifter.sex(), age, lifter.dieting(), lifter.strained(), pains, lifter.daysFree()), lifts,
        heaviest, methods);
  }

  private Athlete.OfLift ofLift(LiftNumbers own, MassUnit unit, List<Progression> running, Optional<Lift> lift) {
    LocalDate contest = running.stream().filter(p -> p.lift().equals(own.lift()) && p.contestOn() != null)
        .map(Progression::contestOn).findFirst().orElse(null);
    return new Athlete.OfLift(own.lift(), lift.filter(Lift::powerlift).isPresent(), own.numbers(unit, clock.today()), own.level(),
        own.tested(), own.goalOn(), contest, startMax(running, own.lift(), unit), startOn(running, own.lift()));
  }

  private static Optional<Progression> towards(List<Progression> running, String lift) {
    return running.stream().filter(p -> p.lift().equals(lift) && p.settings().containsKey(Progression.START_MAX)).findFirst();
  }

  private static @Nullable Mass startMax(List<Progression> running, String lift, MassUnit unit) {
    return towards(running, lift).map(p -> p.settings().get(Progression.START_MAX)).filter(Objects::nonNull)
        .map(text -> Mass.of(text, unit)).orElse(null);
  }

  private static @Nullable LocalDate startOn(List<Progression> running, String lift) {
    return towards(running, lift).map(p -> p.settings().containsKey(Progression.START_ON)
        ? LocalDate.parse(p.settings().get(Progression.START_ON)) : p.startsOn())
        .orElse(null);
  }

  private static int minutes(WatchedDay day) {
    Map<Long, CountedLine> counted = counted(day);
    return SessionTime.minutes(day.slots().stream().filter(slot -> counted.containsKey(slot.id()))
        .map(slot -> new SessionTime.Line(counted.get(slot.id()), slot.groupNo() == null ? null : Long.valueOf(slot.groupNo()), day.groups()
            .group(slot.groupNo()))).toList());
  }

  /** How the week of a day is taken easy; null when it is not. */
  @Transactional(readOnly = true)
  public @Nullable Deload easy(long lifterId, LocalDate day) {
    return deloads.findByLifterIdAndMonday(lifterId, Macrocycle.monday(day)).map(DeloadWeek::kind).orElse(null);
  }
}
