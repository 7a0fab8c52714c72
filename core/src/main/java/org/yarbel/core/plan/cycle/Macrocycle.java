package org.yarbel.core.plan.cycle;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Occasions;

/**
 * The long plan of one lifter: blocks of weeks one after another, from a Monday to a contest or open-ended.
 *
 * @param startsOn a Monday
 * @param contest the day it leads to; null when it leads to none
 * @param blocks in order
 * @param parked what waits for a date: the peak of a contest that was put off
 * @param trainingDays contests of less importance on the way, lifted as training days
 */
public record Macrocycle(LocalDate startsOn, @Nullable LocalDate contest, List<Block> blocks, List<Block> parked,
    List<LocalDate> trainingDays) {
  /** The most weeks of all blocks together. */
  public static final int MOST_WEEKS = 104;

  /** How hard a contest of less importance is lifted at the most. */
  static final double TRAINING_DAY_RPE = 8.5;

  public Macrocycle {
    if (startsOn.getDayOfWeek() != DayOfWeek.MONDAY) {
      throw new Refused("A macrocycle starts on a Monday but should on " + startsOn);
    }
    blocks = List.copyOf(blocks);
    parked = List.copyOf(parked);
    trainingDays = List.copyOf(trainingDays);
    if (blocks.stream().mapToInt(Block::weeks).sum() > MOST_WEEKS) {
      throw new Refused("A macrocycle has at most " + MOST_WEEKS + " weeks");
    }
  }

  /** A block where it stands. */
  public record Placed(Block block, LocalDate monday) {
    /** The Monday after its last week. */
    public LocalDate end() {
      return monday.plusWeeks(block.weeks());
    }
  }

  /**
   * A week of the plan.
   *
   * @param week of its block, from 0
   */
  public record Week(LocalDate monday, Block block, int week) {
    public boolean easy() {
      return block.easy(week);
    }
  }

  /**
   * A method at work in a block.
   *
   * @param no of the block; under 0 for a contest lifted as a training day
   * @param settings all that is set of the method
   * @param startsOn the Monday its first week begins on
   * @param endsOn the day from which it writes nothing more; null while it goes on
   * @param contest the day it counts down to; null for none
   * @param skipped days on which it is not lifted although it would be
   */
  public record Assigned(int no, String lift, Method method, Map<String, String> settings, Set<DayOfWeek> days, LocalDate startsOn,
      @Nullable LocalDate endsOn, @Nullable LocalDate contest, Set<LocalDate> skipped) {
    /** Whether it is lifted on a day, if that is one of its days of the week. */
    public boolean runsOn(LocalDate day) {
      return (endsOn == null || day.isBefore(endsOn)) && !skipped.contains(day);
    }
  }

  /** The Monday of a day's week. */
  public static LocalDate monday(LocalDate day) {
    return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
  }

  /** How many weeks all its blocks take. */
  public int weeks() {
    return blocks.stream().mapToInt(Block::weeks).sum();
  }

  /** The Monday after the last week. */
  public LocalDate end() {
    return startsOn.plusWeeks(weeks());
  }

  /** The blocks with their Mondays. */
  public List<Placed> placed() {
    List<Placed> placed = new ArrayList<>();
    LocalDate monday = startsOn;
    for (Block block : blocks) {
      placed.add(new Placed(block, monday));
      monday = monday.plusWeeks(block.weeks());
    }
    return placed;
  }

  /** All weeks in order. */
  public List<Week> allWeeks() {
    List<Week> weeks = new ArrayList<>();
    placed().forEach(placed -> {
      for (int week = 0; week < placed.block().weeks(); week++) {
        weeks.add(new Week(placed.monday().plusWeeks(week), placed.block(), week));
      }
    });
    return weeks;
  }

  /** The week that a day falls into; empty outside of the plan. */
  public Optional<Week> week(LocalDate day) {
    LocalDate monday = monday(day);
    return allWeeks().stream().filter(week -> week.monday().equals(monday)).findFirst();
  }

  public Optional<Placed> block(int no) {
    return placed().stream().filter(placed -> placed.block().no() == no).findFirst();
  }

  /**
   * So many weeks too many there are before the contest; under 0 where some are missing. A week off behind the contest counts
   * as neither. 0 without a contest.
   */
  public int over() {
    if (contest == null) {
      return 0;
    }
    int before = 0;
    for (Block block : blocks.subList(0, lastBefore())) {
      before += block.weeks();
    }
    return before - (int) ChronoUnit.WEEKS.between(startsOn, monday(contest)) - 1;
  }

  /** How many blocks lead to the contest: all but weeks off at the end. */
  int lastBefore() {
    int count = blocks.size();
    while (count > 0 && blocks.get(count - 1).purpose() == Purpose.OFF) {
      count--;
    }
    return count;
  }

  /** Whether the last block repeats itself until there is a date. */
  public boolean holds() {
    return contest == null && !blocks.isEmpty() && blocks.get(blocks.size() - 1).purpose() == Purpose.HOLD;
  }

  /** The Mondays of the easy weeks, with how they are taken. */
  public Map<LocalDate, Deload> easyWeeks() {
    Map<LocalDate, Deload> easy = new TreeMap<>();
    allWeeks().stream().filter(Week::easy).forEach(week -> easy.put(week.monday(), week.block().easy()));
    return easy;
  }

  /** Every method at work, in the order of blocks and lifts. */
  public List<Assigned> assigned() {
    Set<LocalDate> skipped = new TreeSet<>();
    trainingDays.forEach(day -> skipped.addAll(List.of(day.minusDays(1), day)));
    List<Assigned> all = new ArrayList<>();
    List<Placed> placed = placed();
    for (Placed one : placed) {
      boolean goesOn = holds() && one == placed.get(placed.size() - 1);
      one.block().uses().forEach(use -> all.add(new Assigned(one.block().no(), use.lift(), use.method(), one.block().settings(use),
          use.days(), one.monday(), goesOn ? null : one.end(), contest, skipped)));
    }
    trainingDays.forEach(day -> week(day).ifPresent(week -> week.block().uses().forEach(use -> all.add(asTraining(use, day)))));
    return all;
  }

  /** A lift of a contest that is lifted as a training day. */
  private Assigned asTraining(Use use, LocalDate day) {
    return new Assigned(-(int) day.toEpochDay(), use.lift(), Method.MOCK, Map.of("to", Double.toString(TRAINING_DAY_RPE)),
        EnumSet.of(day.getDayOfWeek()), monday(day), monday(day).plusWeeks(1), contest, Set.of());
  }

  /** The days of a method at work, up to one. */
  public static List<Occasions.Occasion> occasions(Assigned one, Set<LocalDate> easy, LocalDate until) {
    return Occasions.of(one.startsOn(), one.days(), Occasions.Turn.EVERY, one::runsOn, easy::contains,
        one.endsOn() != null && one.endsOn().isBefore(until) ? one.endsOn() : until);
  }

  /** A number no block has. */
  int free() {
    return Stream.concat(blocks.stream(), parked.stream()).mapToInt(Block::no).max().orElse(0) + 1;
  }

  Macrocycle withBlocks(List<Block> others) {
    return new Macrocycle(startsOn, contest, others, parked, trainingDays);
  }

  /** The same to another day, with what waits; null for none. */
  Macrocycle to(@Nullable LocalDate day, List<Block> others, List<Block> waiting) {
    return new Macrocycle(startsOn, day, others, waiting, trainingDays);
  }

  /** The same with other contests lifted as training days. */
  public Macrocycle through(List<LocalDate> days) {
    return new Macrocycle(startsOn, contest, blocks, parked, days);
  }

  /**
   * The same for another lifter: from another Monday on, on the days that lifter has.
   *
   * @param free the days of the week they can train on; nothing changes where it is empty
   */
  public Macrocycle copied(LocalDate from, @Nullable LocalDate day, Set<DayOfWeek> free) {
    Map<DayOfWeek, DayOfWeek> moved = new HashMap<>();
    List<DayOfWeek> theirs = List.copyOf(free.isEmpty() ? EnumSet.allOf(DayOfWeek.class) : EnumSet.copyOf(free));
    Set<DayOfWeek> used = EnumSet.noneOf(DayOfWeek.class);
    blocks.forEach(block -> block.uses().forEach(use -> used.addAll(use.days())));
    if (free.containsAll(used)) {
      used.forEach(one -> moved.put(one, one));
    } else {
      int at = 0;
      for (DayOfWeek one : used) {
        moved.put(one, theirs.get(at++ * theirs.size() / used.size()));
      }
    }
    List<Block> all = blocks.stream().map(block -> block.withUses(block.uses().stream().map(use -> {
      Set<DayOfWeek> on = EnumSet.noneOf(DayOfWeek.class);
      use.days().forEach(one -> on.add(moved.getOrDefault(one, one)));
      return use.on(on);
    }).toList())).toList();
    return new Macrocycle(monday(from), day, all, parked, List.of());
  }
}
