package org.yarbel.core.plan.cycle;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.plan.Deload;

/**
 * A plan made to fit when its contest moves: what is done stays, the rest is fitted, each change with its reason.
 *
 * @param was the plan as it stands
 * @param now as it becomes
 * @param from the first Monday that may change
 * @param changes in order; empty when nothing has to change
 */
public record Refit(Macrocycle was, Macrocycle now, LocalDate from, List<Changed> changes) {

  public Refit {
    changes = List.copyOf(changes);
  }

  /**
   * A week before and after, side by side.
   *
   * @param was null where the old plan had ended or not begun
   * @param now null where the new plan has ended or not begun
   */
  public record Pair(LocalDate monday, Macrocycle.@Nullable Week was, Macrocycle.@Nullable Week now) {
    /** Whether another kind of work is done, or another week of it. */
    public boolean changed() {
      return was == null ? now != null : now == null || was.block().purpose() != now.block().purpose() || was.easy() != now.easy()
          || was.week() != now.week() || was.block().training() != now.block().training();
    }
  }

  /** The weeks that may change, old beside new. */
  public List<Pair> pairs() {
    Map<LocalDate, Macrocycle.Week> old = new HashMap<>();
    was.allWeeks().forEach(week -> old.put(week.monday(), week));
    Map<LocalDate, Macrocycle.Week> other = new HashMap<>();
    now.allWeeks().forEach(week -> other.put(week.monday(), week));
    TreeSet<LocalDate> mondays = new TreeSet<>(old.keySet());
    mondays.addAll(other.keySet());
    return mondays.tailSet(from).stream().map(monday -> new Pair(monday, old.get(monday), other.get(monday))).toList();
  }

  /**
   * Fits a plan to a date, nearer or further than it was.
   *
   * @param from the first Monday that may change: this week's when nothing of it is done, else the next
   * @throws Refused when the contest is before that
   */
  public static Refit toDate(Macrocycle was, LocalDate contest, LocalDate from) {
    if (Macrocycle.monday(contest).isBefore(from)) {
      throw new Refused("The contest on " + contest + " falls into a week that is begun or behind: nothing of the plan can change for it");
    }
    if (Fitting.weeks(from, contest) > Proposal.LONGEST) {
      throw new Refused("The contest on " + contest + " is more than a year away: plan open-ended until it is nearer");
    }
    int led = was.contest() == null || Macrocycle.monday(was.contest()).isBefore(from) ? was.blocks().size() : was.lastBefore();
    List<Block> fitted = new DateFit(was, contest, from).blocks(was.blocks().subList(0, led));
    fitted.addAll(was.blocks().subList(led, was.blocks().size()));
    return of(was, was.to(contest, fitted, List.of()), from, why(was, contest));
  }

  /** A block like those of a purpose; where there is none, the lifts of another in the usual way. */
  static Block model(Macrocycle was, Purpose purpose, Block other) {
    return was.blocks().stream().filter(block -> block.purpose() == purpose).reduce((one, later) -> later)
        .orElseGet(() -> Proposal.block(other.no(), purpose, purpose.least(), other));
  }

  /**
   * The date is put off without another: the block at work is finished unless it belongs to the peak, then three weeks of
   * strength are repeated, and the peak waits.
   */
  public static Refit postponed(Macrocycle was, LocalDate from) {
    int done = done(was, from);
    List<Block> blocks = new ArrayList<>(before(was.blocks(), done));
    int next = was.free();
    List<Block> parked = new ArrayList<>(was.parked());
    for (Block block : was.blocks().stream().filter(block -> block.purpose().peaking()).toList()) {
      parked.add(block.withNo(next++));
    }
    Block last = blocks.isEmpty() ? was.blocks().get(0) : blocks.get(blocks.size() - 1);
    if (!blocks.isEmpty() && total(blocks) > done && last.purpose().peaking()) {
      blocks.set(blocks.size() - 1, last.withWeeks(last.weeks() - (total(blocks) - done)));
    }
    blocks.add(Proposal.block(next, Purpose.HOLD, Purpose.HOLD.least(), model(was, Purpose.STRENGTH, last)));
    return of(was, was.to(null, blocks, parked), from, "There is no date any more.");
  }

  /** The contest is cancelled: its peak goes, the work before it stays, and a mock contest shows what it came to. */
  public static Refit cancelled(Macrocycle was, LocalDate from) {
    int done = done(was, from);
    List<Block> blocks = new ArrayList<>(before(was.blocks(), done));
    Block last = blocks.isEmpty() ? was.blocks().get(0) : blocks.get(blocks.size() - 1);
    if (!blocks.isEmpty() && total(blocks) > done && last.purpose().peaking()) {
      blocks.set(blocks.size() - 1, last.withWeeks(last.weeks() - (total(blocks) - done)));
    }
    was.blocks().subList(blocks.size(), was.blocks().size()).stream().filter(block -> !block.purpose().peaking()
        && block.purpose() != Purpose.OFF)
        .forEach(blocks::add);
    List<Use> mock = Proposal.mock(last.uses());
    if (!mock.isEmpty()) {
      blocks.add(new Block(was.free(), Purpose.TEST, 1, 0, Deload.HALF_LOAD, null, mock));
    }
    return of(was, was.to(null, blocks, List.of()), from, "The contest is cancelled.");
  }

  /** Fits a plan that somebody has just edited. */
  static Refit edited(Macrocycle was, Macrocycle edited, @Nullable Integer pinned, LocalDate from) {
    LocalDate contest = edited.contest();
    if (contest == null || Macrocycle.monday(contest).isBefore(from)) {
      return of(was, edited, from, "", edited);
    }
    int done = done(edited, from);
    List<Block> led = edited.blocks().subList(0, edited.lastBefore());
    List<Block> fitted = new ArrayList<>(Fitting.fit(led, Fitting.weeks(edited.startsOn(), contest), done, pinned, edited.free()));
    fitted.addAll(edited.blocks().subList(edited.lastBefore(), edited.blocks().size()));
    return of(was, edited.withBlocks(fitted), from, "The contest is on its day: what one block takes another gives.", edited);
  }

  /** So many weeks of a plan lie before a Monday. */
  static int done(Macrocycle plan, LocalDate from) {
    int behind = (int) Math.max(0, ChronoUnit.WEEKS.between(plan.startsOn(), from));
    return plan.holds() ? behind : Math.min(plan.weeks(), behind);
  }

  /** The blocks that have begun after so many weeks. */
  static List<Block> before(List<Block> blocks, int done) {
    int total = 0;
    int count = 0;
    while (count < blocks.size() && total < done) {
      total += blocks.get(count++).weeks();
    }
    return blocks.subList(0, count);
  }

  static int total(List<Block> blocks) {
    return blocks.stream().mapToInt(Block::weeks).sum();
  }

  private static String why(Macrocycle was, LocalDate contest) {
    LocalDate old = was.contest();
    if (old == null) {
      return "There is a date now, " + contest + ".";
    }
    long weeks = ChronoUnit.WEEKS.between(Macrocycle.monday(old), Macrocycle.monday(contest));
    if (weeks == 0) {
      return "The contest is on another day of its week.";
    }
    return "The contest is " + Count.of(Math.abs(weeks), "week") + (weeks < 0 ? " earlier." : " later.");
  }

  private static Refit of(Macrocycle was, Macrocycle now, LocalDate from, String cause) {
    return of(was, now, from, cause, null);
  }

  /**
   * A refit with its reasons.
   *
   * @param set what somebody has set themselves, before anything was fitted; null for nothing
   */
  private static Refit of(Macrocycle was, Macrocycle now, LocalDate from, String cause, @Nullable Macrocycle set) {
    List<Changed> changes = new Differences(now, cause, set).from(was);
    if (changes.isEmpty() && now.contest() != null && !now.contest().equals(was.contest())) {
      changes.add(new Changed("The taper counts down to " + now.contest(), cause
          + " The weeks stay; last heavy days and openers move with the day."));
    }
    return new Refit(was, now, from, changes);
  }

  static String title(Purpose purpose) {
    return purpose.word().substring(0, 1).toUpperCase(Locale.ROOT) + purpose.word().substring(1);
  }
}
