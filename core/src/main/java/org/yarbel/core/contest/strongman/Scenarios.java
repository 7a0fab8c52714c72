package org.yarbel.core.contest.strongman;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.yarbel.core.mass.Refused;

/**
 * What an athlete's places in the last one or two events can come to: by going through the places of those who can still matter.
 *
 * <p>It is supposed that everybody who has not withdrawn scores in what is left, and that nobody shares a place there: a shared place
 * or a result that does not count lies between what stands here for the places around it. Two who are equal in all that decides share
 * a final place.
 *
 * @param left events that are still to come, 1 or 2
 * @param cells one for each place of the one asked about, in each event left: the first event's place counts slowest
 */
public record Scenarios(String athlete, int left, List<Cell> cells) {
  private static final int MOST_LEFT = 2;
  private static final int MOST_ATHLETES = 30;

  /**
   * What own places come to.
   *
   * @param own the places in the events left, in their order
   * @param best the final place if all others fall as well as they can
   * @param worst if they fall as badly as they can
   */
  public record Cell(List<Integer> own, int best, int worst) {
    public Cell {
      own = List.copyOf(own);
    }

    /** Whether a final place, or a better one, is sure, open or out of reach. */
    public Hope of(int place) {
      if (worst <= place) {
        return Hope.SURE;
      }
      return best <= place ? Hope.OPEN : Hope.OUT;
    }
  }

  /** How a final place stands. */
  public enum Hope {
    SURE,
    OPEN,
    OUT
  }

  public Scenarios {
    cells = List.copyOf(cells);
  }

  /**
   * Goes through what can still happen.
   *
   * @throws Refused with more than two events left, or more than 30 athletes
   */
  public static Scenarios of(Overall now, int left, Scoring scoring, String athlete) {
    if (left < 1 || left > MOST_LEFT) {
      throw new Refused("What can still happen is gone through for the last two events, but " + left + " are left");
    }
    if (now.lines().size() > MOST_ATHLETES) {
      throw new Refused("What can still happen is gone through for " + MOST_ATHLETES + " athletes at most, but there are "
          + now.lines().size());
    }
    Chase chase = new Chase(now, scoring, athlete, left);
    List<Cell> cells = new ArrayList<>();
    int lifting = chase.lifting();
    for (int first = 1; first <= lifting; first++) {
      if (left == 1) {
        cells.add(chase.cell(List.of(first)));
        continue;
      }
      for (int second = 1; second <= lifting; second++) {
        // both events bring the same points, so which of them a place is taken in is all one
        cells.add(second < first ? turned(cells.get((second - 1) * lifting + first - 1)) : chase.cell(List.of(first, second)));
      }
    }
    return new Scenarios(athlete, left, cells);
  }

  private static Cell turned(Cell cell) {
    return new Cell(List.of(cell.own().get(1), cell.own().get(0)), cell.best(), cell.worst());
  }

  /**
   * What another has to do in the last event, at the best, so that they do not end ahead.
   *
   * @param orWorse the place, from 1
   */
  public record Condition(String rival, int orWorse) {}

  /**
   * With one event left: what has to come of the rivals so that nobody ends ahead, with an own place; no condition where that is sure.
   *
   * @return empty where somebody ends ahead whatever they do
   */
  public static Optional<List<Condition>> toWin(Overall now, Scoring scoring, String athlete, int own) {
    return new Chase(now, scoring, athlete, 1).toWin(own);
  }

  /** How many still lift. */
  public int lifting() {
    return left == 1 ? cells.size() : (int) Math.round(Math.sqrt(cells.size()));
  }

  /** What a place in the next event means: the best and the worst that can still come of it. */
  public Cell after(int place) {
    List<Cell> of = cells.stream().filter(cell -> cell.own().get(0) == place).toList();
    return new Cell(List.of(place), of.stream().mapToInt(Cell::best).min().orElseThrow(),
        of.stream().mapToInt(Cell::worst).max().orElseThrow());
  }

  /**
   * The worst place in the last event with which a final place is sure, or open, after a place in the one before; 0 where there is
   * none.
   *
   * @param next the place in the next event; nothing hangs on it where only one is left
   */
  public int needed(int next, int place, Hope hope) {
    return IntStream.rangeClosed(1, lifting()).filter(last -> {
      Hope there = cells.get(left == 1 ? last - 1 : (next - 1) * lifting() + last - 1).of(place);
      return there == Hope.SURE || there == hope;
    }).max().orElse(0);
  }
}
