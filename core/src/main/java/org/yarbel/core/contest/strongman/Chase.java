package org.yarbel.core.contest.strongman;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * One athlete against all others over the events left.
 *
 * <p>Of two rivals the one who stands better now needs no better places than the other to end ahead, so that as many as can end ahead
 * at once are always those who stand best now, with the best places there are; and as many as can be held back those who stand worst,
 * with the worst places. Whether so many can is {@link Fit}.
 */
final class Chase {
  private final Scoring scoring;
  private final int field;
  private final Overall.Line mine;
  private final List<Overall.Line> gone;
  /** By rival, the best first: what each place, or pair of places, would make of the line. */
  private final List<Ends> rivals;
  private final List<Ends> fromBehind;

  /** What one line can come to, by the places in the events left, from 1; the second index is 0 with one event left. */
  private record Ends(Overall.Line[][] by) {}

  Chase(Overall now, Scoring scoring, String athlete, int left) {
    this.scoring = scoring;
    this.field = now.lines().size();
    this.mine = now.of(athlete);
    List<Overall.Line> others = now.lines().stream().filter(line -> !line.athlete().equals(athlete)).toList();
    this.gone = others.stream().filter(Overall.Line::withdrawn).toList();
    List<Overall.Line> lifting = others.stream().filter(line -> !line.withdrawn()).toList();
    this.rivals = lifting.stream().map(line -> ends(line, lifting.size() + 1, left)).toList();
    this.fromBehind = turned(rivals);
  }

  private Ends ends(Overall.Line line, int places, int left) {
    Overall.Line[][] by = new Overall.Line[places + 1][places + 1];
    for (int first = 1; first <= places; first++) {
      if (left == 1) {
        by[first][0] = with(line, List.of(first));
      }
      for (int second = 1; left > 1 && second <= places; second++) {
        by[first][second] = with(line, List.of(first, second));
      }
    }
    return new Ends(by);
  }

  /** How many still lift, the one asked about among them. */
  int lifting() {
    return rivals.size() + 1;
  }

  /** What own places can come to. */
  Scenarios.Cell cell(List<Integer> own) {
    Overall.Line end = with(mine, own);
    int ahead = (int) gone.stream().filter(line -> leads(line, end)).count();
    List<Integer> first = free(own.get(0));
    List<Integer> second = own.size() == 1 ? Collections.nCopies(first.size(), 0) : free(own.get(1));
    int most = most(rivals, first, second, other -> leads(other, end));
    int held = most(fromBehind, turned(first), turned(second), other -> !leads(other, end));
    return new Scenarios.Cell(own, 1 + ahead + rivals.size() - held, 1 + ahead + most);
  }

  /** What has to come of the rivals with one event left, so that none of them ends ahead. */
  Optional<List<Scenarios.Condition>> toWin(int own) {
    Overall.Line end = with(mine, List.of(own));
    if (gone.stream().anyMatch(line -> leads(line, end))) {
      return Optional.empty();
    }
    List<Scenarios.Condition> conditions = new ArrayList<>();
    for (Ends rival : rivals) {
      int place = 1;
      while (place <= lifting() && (place == own || leads(rival.by()[place][0], end))) {
        place++;
      }
      if (place > lifting()) {
        return Optional.empty();
      }
      boolean always = place == 1 || place == 2 && own == 1;
      if (!always) {
        conditions.add(new Scenarios.Condition(rival.by()[place][0].athlete(), place));
      }
    }
    return Optional.of(List.copyOf(conditions));
  }

  private interface Ending {
    boolean is(Overall.Line line);
  }

  /**
   * How many of those who do something most easily can do it at once.
   *
   * @param first the free places of the first event, those that help most first
   * @param second of the second event; 0 for all where there is none
   */
  private int most(List<Ends> easiest, List<Integer> first, List<Integer> second, Ending ending) {
    if (easiest.isEmpty()) {
      return 0;
    }
    Fit.Reach reach = new Fit.Reach(new int[easiest.size()][first.size()], new long[first.size()][first.size()]);
    int sign = first.get(0) <= first.get(first.size() - 1) ? 1 : -1;
    for (int i = 0; i < first.size(); i++) {
      for (int rival = 0; rival < easiest.size(); rival++) {
        Overall.Line[] by = easiest.get(rival).by()[first.get(i)];
        int j = second.size() - 1;
        while (j >= 0 && !ending.is(by[second.get(j)])) {
          j--;
        }
        reach.second()[rival][i] = j;
      }
      for (int j = 0; j < first.size(); j++) {
        reach.help()[i][j] = sign * scoring.at(first.get(i), field).plus(scoring.at(Math.max(second.get(j), 1), field)).parts();
      }
    }
    int most = 0;
    while (most < easiest.size() && fits(new Fit(most + 1, reach), second.get(0) == 0)) {
      most++;
    }
    return most;
  }

  private static boolean fits(Fit fit, boolean oneEvent) {
    return oneEvent ? fit.fitsInOne() : fit.fitsInTwo();
  }

  private List<Integer> free(int taken) {
    return IntStream.rangeClosed(1, lifting()).filter(place -> place != taken).boxed().toList();
  }

  private boolean leads(Overall.Line one, Overall.Line other) {
    return one.compare(other, scoring.countsBack()) < 0;
  }

  private Overall.Line with(Overall.Line line, List<Integer> places) {
    Points points = line.points();
    List<Integer> firsts = new ArrayList<>(line.firsts());
    for (int place : places) {
      points = points.plus(scoring.at(place, field));
      firsts.set(place - 1, firsts.get(place - 1) + 1);
    }
    return new Overall.Line(line.athlete(), 0, points, firsts, false);
  }

  private static <T> List<T> turned(List<T> list) {
    List<T> turned = new ArrayList<>(list);
    Collections.reverse(turned);
    return turned;
  }
}
