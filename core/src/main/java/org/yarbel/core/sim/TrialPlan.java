package org.yarbel.core.sim;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.BiConsumer;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.call.Effect;
import org.yarbel.core.call.Picture;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.SlotKind;

/** The plan of a made-up lifter, and a made-up coach who edits it as calls propose; what needs methods or words is not tried. */
final class TrialPlan implements Effect.Some<Boolean> {
  private static final int WRITTEN = 4;
  private static final int EASY_EVERY = 8;
  /** Sets of a wave of four weeks, each share with what the chart says it should feel like at nine tenths of the max. */
  private static final List<String> SQUAT = List.of("4x5 86% tm @6.5", "4x5 88% tm @7", "4x5 90% tm @7.5", "4x5 92% tm @8");
  private static final List<String> HEAVY = List.of("1x1 100% tm @7; 3x4 -16%", "1x1 102% tm @7.5; 3x4 -16%",
      "1x1 104% tm @8; 3x4 -16%", "1x1 106% tm @8.5; 3x4 -16%");
  private static final List<String> BENCH = List.of("4x6 82% tm @6", "4x6 84% tm @6", "4x6 86% tm @7", "4x6 88% tm @7.5");

  private final LocalDate start;
  private final BiConsumer<String, Mass> training;
  private final Map<LocalDate, List<Written>> days = new TreeMap<>();
  private final List<LocalDate> easy = new ArrayList<>();

  /**
   * Nothing is written yet.
   *
   * @param start its first Monday
   * @param training told of a training max that is set
   */
  TrialPlan(LocalDate start, BiConsumer<String, Mass> training) {
    this.start = start;
    this.training = training;
  }

  /** A line of the plan. */
  static final class Written {
    final UUID ref = UUID.randomUUID();
    final SlotKind kind;
    String lift;
    String work;
    final List<Picture.Lifted> sets = new ArrayList<>();

    Written(SlotKind kind, String lift, String work) {
      this.kind = kind;
      this.lift = lift;
      this.work = work;
    }
  }

  /** All that is written, in the order of its days. */
  Map<LocalDate, List<Written>> days() {
    return days;
  }

  boolean has(LocalDate day) {
    return days.containsKey(day);
  }

  List<Written> on(LocalDate day) {
    return days.getOrDefault(day, List.of());
  }

  /** The plan is written four weeks ahead; what was edited stays. */
  void write(int week) {
    for (int ahead = week == 0 ? 0 : WRITTEN - 1; ahead < WRITTEN; ahead++) {
      int of = week + ahead;
      LocalDate monday = start.plusWeeks(of);
      int wave = of % SQUAT.size();
      boolean light = of % EASY_EVERY == EASY_EVERY - 1;
      if (light) {
        easy.add(monday);
      }
      put(monday, light, "squat", SQUAT.get(wave));
      put(monday.plusDays(1), light, "bench", "1x4 @8; 3x6 -12%");
      put(monday.plusDays(3), light, "squat", HEAVY.get(wave));
      put(monday.plusDays(4), light, "bench", BENCH.get(wave));
    }
  }

  private void put(LocalDate day, boolean light, String lift, String work) {
    WorkLine line = WorkLine.parse(work).line();
    String text = light ? Deload.LESS_VOLUME.applied(line, EffortChart.HOUSE).orElse(line).toString() : line.toString();
    days.computeIfAbsent(day, any -> new ArrayList<>()).add(new Written(SlotKind.MAIN, lift, text));
  }

  /** The easy weeks behind and to come, as a coach knows them on a day. */
  Picture.Deloads deloads(LocalDate today, int weeksBack) {
    LocalDate last = easy.stream().filter(monday -> monday.isBefore(today)).max(Comparator.naturalOrder()).orElse(start.minusWeeks(1));
    return new Picture.Deloads((int) ChronoUnit.WEEKS.between(last, today) - 1,
        easy.stream().filter(monday -> !monday.isBefore(today)).distinct().toList(), easy.stream().filter(monday -> monday.isBefore(today)
            && !monday.isBefore(today.minusWeeks(weeksBack))).distinct().toList(), Deload.LESS_VOLUME);
  }

  @Override
  public Boolean other(Effect edit) {
    return false;
  }

  @Override
  public Boolean rewrite(Effect.Rewrite edit) {
    Written line = line(edit.line());
    if (line != null) {
      line.lift = edit.toLift();
      line.work = edit.after();
    }
    return line != null;
  }

  private @Nullable Written line(UUID ref) {
    return days.values().stream().flatMap(List::stream).filter(line -> line.ref.equals(ref)).findFirst().orElse(null);
  }

  @Override
  public Boolean add(Effect.Add edit) {
    return days.computeIfAbsent(edit.day(), any -> new ArrayList<>()).add(new Written(edit.kind(), edit.lift(), edit.work()));
  }

  @Override
  public Boolean easyWeek(Effect.EasyWeek edit) {
    if (edit.insteadOf() != null) {
      easy.remove(edit.insteadOf());
    }
    easy.add(edit.monday());
    for (LocalDate day : edit.monday().datesUntil(edit.monday().plusWeeks(1)).toList()) {
      on(day).forEach(line -> edit.kind().applied(WorkLine.parse(line.work).line(), EffortChart.HOUSE)
          .ifPresent(work -> line.work = work.toString()));
    }
    return true;
  }

  @Override
  public Boolean number(Effect.Number edit) {
    if (edit.what() == Basis.TRAINING) {
      training.accept(edit.lift(), edit.after());
    }
    return edit.what() == Basis.TRAINING;
  }
}
