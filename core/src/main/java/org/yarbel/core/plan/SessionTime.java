package org.yarbel.core.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.ResolvedSet;

/** How long a session takes: 4 s a rep or its tempo, rests, 60 s a ramp step, 2 min an exercise. Common practice, no source. */
public final class SessionTime {
  private static final int REP = 4;
  private static final int RAMP_STEP = 60;
  private static final int EXERCISE = 120;
  private static final int METRES_A_SECOND = 1;

  private SessionTime() {}

  /** A line with its group. */
  public record Line(CountedLine counted, @Nullable Long groupId, @Nullable Group group) {}

  /** In minutes, rounded. */
  public static int minutes(List<Line> lines) {
    Map<String, CountedSet> sets = new HashMap<>();
    int seconds = 0;
    for (int i = 0; i < lines.size(); i++) {
      CountedLine counted = lines.get(i).counted();
      String line = i + 1 + ":";
      seconds += EXERCISE + RAMP_STEP * counted.ramp().size();
      counted.sets().forEach(set -> sets.put(line + set.set().place(), set));
    }
    List<SetOrder.Turn> turns = SetOrder.of(lines.stream().map(line -> new SetOrder.Line(line.counted().resolved().sets(),
        line.groupId(), line.group(), !line.counted().kind().mainWork())).toList());
    for (int i = 0; i < turns.size(); i++) {
      SetOrder.Turn turn = turns.get(i);
      seconds += work(sets.get(turn.line() + ":" + turn.part() + "." + turn.set()));
      boolean last = i + 1 == turns.size();
      seconds += last || turn.rest() == null ? 0 : turn.rest();
    }
    return (seconds + 30) / 60;
  }

  private static int work(CountedSet counted) {
    ResolvedSet set = counted.set();
    ResolvedSet.Clock clock = set.clock();
    if (clock != null && clock.seconds() != null) {
      return clock.seconds();
    }
    if (clock != null && clock.limit() != null) {
      return clock.limit();
    }
    if (clock != null && clock.every() != null) {
      return clock.every();
    }
    if (set.distance() != null) {
      return set.distance().metres().intValue() / METRES_A_SECOND;
    }
    int gaps = clock != null && clock.gap() != null ? clock.gap() * (int) (counted.reps() - 1) : 0;
    return (int) Math.round(counted.reps() * rep(set.tempo())) + gaps;
  }

  private static int rep(@Nullable String tempo) {
    if (tempo == null) {
      return REP;
    }
    int seconds = 0;
    for (String figure : tempo.split("-")) {
      seconds += figure.equals("X") ? 1 : Integer.parseInt(figure);
    }
    return Math.max(seconds, 1);
  }
}
