package org.yarbel.core.card;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.RpeTarget;

/**
 * What back-offs would weigh worked from today's max, to stand beside those that follow the top set: the share of the max that was
 * planned for them, of the max that the tracker has after the sets of the day. They are offered where the top set's rating was off by
 * a point or more (common practice, no source), or the form of the day is by more than 2 % (our own default).
 */
public final class FromToday {
  private static final double POINT = 1;
  private static final double FORM = 0.02;

  private FromToday() {}

  /**
   * The loads by part; none where the day is as expected, or makes no difference to what is loaded.
   *
   * @param request with what was logged
   * @param today null where the tracker knows nothing of the day
   */
  public static Map<Integer, Loading> of(Resolver.Request request, @Nullable TodaysMax today) {
    Loadables loadables = request.loadables();
    Mass max = request.numbers().best();
    if (loadables == null || max == null || today == null || !off(request, max, today)) {
      return Map.of();
    }
    Map<Integer, Mass> stand = new HashMap<>();
    Resolver.resolve(request.withWarmUp(null)).sets().stream().filter(set -> !set.logged() && set.load() != null)
        .forEach(set -> stand.putIfAbsent(set.part(), set.load()));
    return beside(planned(request), stand, today.now().ratioTo(max), loadables);
  }

  /** What was planned of the parts that hang on a top set, by part; of those that fall from set to set nothing. */
  static Map<Integer, Mass> planned(Resolver.Request request) {
    Map<Integer, Mass> planned = new HashMap<>();
    for (ResolvedSet set : Resolver.resolve(request.withWarmUp(null).withLogged(List.of())).sets()) {
      Part part = request.line().line().parts().get(set.part() - 1);
      if (PlannedTop.hangs(part) && !(part.load() instanceof Load.Drop drop && drop.each()) && set.load() != null) {
        planned.putIfAbsent(set.part(), set.load());
      }
    }
    return planned;
  }

  /** The loads from a share of the max that was planned with, where they are others than those that stand. */
  static Map<Integer, Loading> beside(Map<Integer, Mass> planned, Map<Integer, Mass> stand, double share, Loadables loadables) {
    Map<Integer, Loading> loads = new HashMap<>();
    planned.forEach((part, load) -> {
      Mass stands = stand.get(part);
      Loading beside = loadables.nearest(load.scaled(share));
      if (stands != null && !beside.total().hits(stands)) {
        loads.put(part, beside);
      }
    });
    return loads;
  }

  /** Whether a set of the line was made that was rated a point or more from what was asked, or the day is another than expected. */
  static boolean off(Resolver.Request request, Mass max, TodaysMax today) {
    int parts = request.line().line().parts().size();
    List<LoggedSet> made = request.logged().stream().filter(set -> set.reps() > 0 && set.part() <= parts).toList();
    boolean form = Math.abs(today.rested().ratioTo(max) - 1) > FORM;
    return !made.isEmpty() && (form || made.stream().anyMatch(set -> {
      Rpe rated = set.rpe();
      RpeTarget asked = request.line().line().parts().get(set.part() - 1).rpe();
      return rated != null && asked != null && Math.abs(rated.value() - asked.middle()) >= POINT;
    }));
  }
}
