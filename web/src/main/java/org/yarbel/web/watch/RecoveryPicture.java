package org.yarbel.web.watch;

import java.time.LocalDate;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.Recovery.Modifier;
import org.yarbel.core.plan.Recovery.Quality;
import org.yarbel.core.plan.Recovery;
import org.yarbel.core.watch.WatchedWeek;
import org.yarbel.web.lifter.Lifter;

/** How each main lift dips and comes back over the days of a week, a small picture a lift, a line a quality. */
public record RecoveryPicture(List<RecoveryPanel> panels) {
  static final int WIDTH = 700;
  static final int HEIGHT = 92;
  private static final int TOP = 26;
  private static final double SCALE = 38;
  private static final int STEPS_A_DAY = 4;
  /** So shortly before a session the curve stands where the days before have left it. */
  private static final double JUST_BEFORE = 1e-6;
  private static final double EVENING = 0.7;

  /** One line of a panel. */
  public record Curve(String quality, String css, String points, String atEnd) {}

  /** One lift. */
  public record RecoveryPanel(String lift, String modifiers, String days, List<Curve> curves, List<RecoveryMark> marks, String inWords) {}

  /** A session of the lift: where it stands and how deep it goes. */
  public record RecoveryMark(String x, String day, String depth) {}

  /** Draws the main lifts of a week. */
  public static RecoveryPicture of(Lifter lifter, @Nullable Mass bodyMass, WeekWatch.SeenWeek seen) {
    Map<Lift, List<CountedLine>> families = new LinkedHashMap<>();
    WatchedWeek week = seen.week();
    List<CountedLine> all = new ArrayList<>(seen.past());
    week.lines().forEach(line -> all.add(line.counted()));
    for (CountedLine line : all) {
      if (line.head().powerlift() || line.head().movement() == Movement.PRESS) {
        families.computeIfAbsent(line.head(), head -> new ArrayList<>()).add(line);
      }
    }
    List<RecoveryPanel> panels = new ArrayList<>();
    families.forEach((lift, lines) -> panel(lifter, bodyMass, week, lift, lines).ifPresent(panels::add));
    return new RecoveryPicture(panels);
  }

  private static Optional<RecoveryPanel> panel(Lifter lifter, @Nullable Mass bodyMass, WatchedWeek week, Lift lift,
      List<CountedLine> lines) {
    Map<LocalDate, Double> loads = lines.stream().collect(Collectors.groupingBy(CountedLine::day, TreeMap::new,
        Collectors.summingDouble(CountedLine::sessionLoad)));
    loads.values().removeIf(load -> load == 0);
    Set<LocalDate> hard = lines.stream().filter(CountedLine::hard).map(CountedLine::day).collect(Collectors.toSet());
    double[] hardLoads = loads.entrySet().stream().filter(e -> hard.isEmpty() || hard.contains(e.getKey())).mapToDouble(Map.Entry::getValue)
        .toArray();
    double median = Recovery.median(hardLoads);
    if (median == 0) {
      return Optional.empty();
    }
    List<Recovery.Session> sessions = new ArrayList<>();
    List<RecoveryMark> marks = new ArrayList<>();
    loads.forEach((day, load) -> {
      double at = ChronoUnit.DAYS.between(week.monday(), day) + EVENING;
      Recovery.Session session = new Recovery.Session(at, load / median);
      sessions.add(session);
      if (at >= 0 && at < 7) {
        marks.add(new RecoveryMark(number(x(at)), day.getDayOfWeek().getDisplayName(TextStyle.SHORT, Locale.ENGLISH),
            number(session.depth())));
      }
    });
    Set<Modifier> modifiers = Modifier.of(bodyMass, lifter.heightMm(), week.athlete().age(), week.athlete().level(), week.athlete()
        .veryStrong(lift.key()), week.peaking(), mostly(lift, lines));
    List<Curve> curves = new ArrayList<>();
    List<String> words = new ArrayList<>();
    for (Quality quality : Quality.values()) {
      double days = Recovery.days(quality, lift.movement(), modifiers);
      StringBuilder points = new StringBuilder();
      for (double t : times(sessions)) {
        points.append(Math.round(x(t))).append(',').append(number(y(Recovery.at(t, sessions, days)))).append(' ');
      }
      double end = Recovery.at(7, sessions, days);
      curves.add(new Curve(quality.word(), "q-" + quality.name().toLowerCase(Locale.ROOT).replace('_', '-'), points.toString()
          .strip(), number(y(end))));
      words.add(quality.word() + " " + number(days) + (number(days).equals("1") ? " day" : " days"));
    }
    return Optional.of(new RecoveryPanel(lift.name(), modifiers.isEmpty() ? "" : modifiers.stream()
        .map(m -> m.word() + (m.lengthens() ? " +" : " −")).collect(Collectors.joining(", ")),
        String.join(", ", words), curves, marks, lift.name() + " over the week: " + (marks.isEmpty() ? "not trained" : marks.stream()
            .map(m -> m.day() + " " + m.depth() + " of a usual hard session").collect(Collectors.joining(", ")))));
  }

  /** Where a curve is worked out: some times a day, and on both sides of every session, where it drops. */
  private static SortedSet<Double> times(List<Recovery.Session> sessions) {
    SortedSet<Double> times = new TreeSet<>();
    for (int step = 0; step <= 7 * STEPS_A_DAY; step++) {
      times.add((double) step / STEPS_A_DAY);
    }
    sessions.stream().map(Recovery.Session::day).filter(day -> day > 0 && day < 7)
        .forEach(day -> times.addAll(List.of(day - JUST_BEFORE, day)));
    return times;
  }

  /** How the lift is mostly done: by its variation where that is what is trained. */
  private static String mostly(Lift lift, List<CountedLine> lines) {
    return lines.stream().filter(line -> line.kind().mainWork())
        .collect(Collectors.groupingBy(line -> line.lift().key(), Collectors.counting()))
        .entrySet().stream().max(Map.Entry.comparingByValue()).map(Map.Entry::getKey).orElse(lift.key());
  }

  private static double x(double day) {
    return day * WIDTH / 7;
  }

  private static double y(double value) {
    return Math.min(HEIGHT - 2, Math.max(2, TOP - value * SCALE));
  }

  /** To a tenth; some thousand of them make the picture, so no pattern is read for each. */
  private static String number(double value) {
    long tenths = Math.round(10 * value);
    return tenths % 10 == 0 ? Long.toString(tenths / 10) : tenths / 10 + "." + Math.abs(tenths % 10);
  }
}
