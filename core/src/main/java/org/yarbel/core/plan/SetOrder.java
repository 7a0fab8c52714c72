package org.yarbel.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.DefaultRest;
import org.yarbel.core.card.ResolvedSet;

/** The sets of a session in the order they are lifted: lines one after another, those of a group by turns. */
public final class SetOrder {
  private SetOrder() {}

  /**
   * One line of a session.
   *
   * @param sets worked out, with those of all rounds
   * @param groupId what its group is known by; null for none
   * @param group null for none
   * @param assistance whether it rests as assistance work does
   */
  public record Line(List<ResolvedSet> sets, @Nullable Long groupId, @Nullable Group group, boolean assistance) {}

  /**
   * One set in its turn.
   *
   * @param line its place among the lines, from 1
   * @param round of its group, from 1; 0 outside a group
   * @param rest seconds after it; null where none is due
   * @param usual whether nobody said so and the rest is the usual one
   */
  public record Turn(int line, int part, int set, int round, @Nullable Integer rest, boolean usual) {}

  /** All the sets in their turns. Lines of a group stand one after another. */
  public static List<Turn> of(List<Line> lines) {
    List<Turn> turns = new ArrayList<>();
    for (int i = 0; i < lines.size(); ) {
      Line line = lines.get(i);
      int end = i + 1;
      while (line.groupId() != null && end < lines.size() && line.groupId().equals(lines.get(end).groupId())) {
        end++;
      }
      if (line.group() == null || line.groupId() == null) {
        int number = i + 1;
        line.sets().forEach(set -> turns.add(alone(number, line, set, 0)));
      } else {
        turns.addAll(byTurns(i + 1, lines.subList(i, end), line.group()));
      }
      i = end;
    }
    return turns;
  }

  private static Turn alone(int number, Line line, ResolvedSet set, int round) {
    Integer written = set.restSeconds();
    return new Turn(number, set.part(), set.set(), round,
        written != null ? written : DefaultRest.seconds(set, line.assistance()), written == null);
  }

  private static List<Turn> byTurns(int first, List<Line> lines, Group group) {
    Map<Integer, List<Turn>> rounds = new LinkedHashMap<>();
    int count = group.rounds() != null ? group.rounds() : lines.stream().mapToInt(line -> line.sets().size()).max().orElse(0);
    for (int round = 1; round <= count; round++) {
      rounds.put(round, new ArrayList<>());
    }
    for (int i = 0; i < lines.size(); i++) {
      Line line = lines.get(i);
      int at = 0;
      Map<Integer, Integer> setsOfPart = new HashMap<>();
      line.sets().forEach(set -> setsOfPart.merge(set.part(), 1, Integer::sum));
      for (ResolvedSet set : line.sets()) {
        at++;
        int ofPart = Objects.requireNonNull(setsOfPart.get(set.part()));
        // a part that could not be done so many times over is done in the first round
        int aRound = ofPart % count == 0 ? ofPart / count : ofPart;
        int round = group.rounds() == null ? at : (set.set() - 1) / aRound + 1;
        Objects.requireNonNull(rounds.get(round)).add(alone(first + i, line, set, round));
      }
    }
    List<Turn> turns = new ArrayList<>();
    rounds.values().forEach(turns::addAll);
    for (int i = 0; i + 1 < turns.size(); i++) {
      Turn turn = turns.get(i);
      boolean sameRound = turn.round() == turns.get(i + 1).round();
      boolean sameLine = turn.line() == turns.get(i + 1).line();
      if (!sameRound) {
        turns.set(i, rested(turn, group.restRounds()));
      } else if (!sameLine) {
        // within a round nobody rests unless somebody says so
        turns.set(i, rested(turn, Objects.requireNonNullElse(group.restBetween(), 0)));
      }
    }
    return turns;
  }

  /** A turn with the rest that was said for it; the one it has where nothing was. */
  private static Turn rested(Turn turn, @Nullable Integer said) {
    return said == null ? turn : new Turn(turn.line(), turn.part(), turn.set(), turn.round(), said, false);
  }
}
