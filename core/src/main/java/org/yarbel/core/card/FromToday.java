package org.yarbel.core.card;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.RpeTarget;

/**
 * What back-offs would weigh worked from today's max, to stand beside those that follow the top set when its rating was off by
 * a point or more: the share of the max that was planned for them, of the max that the top set speaks for. Common practice,
 * no source.
 */
public final class FromToday {
  private static final double OFF = 1;

  private FromToday() {}

  /**
   * The loads by part; none where the rating was as asked, or makes no difference to what is loaded.
   *
   * @param request with what was logged
   */
  public static Map<Integer, Loading> of(Resolver.Request request) {
    Map<Integer, Loading> loads = new HashMap<>();
    Loadables loadables = request.loadables();
    Mass max = request.numbers().best();
    if (loadables == null || max == null || !off(request)) {
      return loads;
    }
    ResolvedLine now = Resolver.resolve(request.withWarmUp(null));
    Mass today = now.today();
    if (today == null) {
      return loads;
    }
    List<ResolvedSet> planned = Resolver.resolve(request.withWarmUp(null).withLogged(List.of())).sets();
    for (ResolvedSet set : planned) {
      Load load = request.line().line().parts().get(set.part() - 1).load();
      boolean hangs = load != null && load.needsTop() && !(load instanceof Load.Drop drop && drop.each()) && set.load() != null;
      Optional<ResolvedSet> stands = now.sets().stream().filter(other -> other.part() == set.part() && !other.logged()).findFirst();
      if (hangs && stands.isPresent() && !loads.containsKey(set.part())) {
        Loading beside = loadables.nearest(set.load().scaled(today.ratioTo(max)));
        if (stands.get().load() == null || !beside.total().hits(stands.get().load())) {
          loads.put(set.part(), beside);
        }
      }
    }
    return loads;
  }

  /** Whether a set that was asked at an RPE was rated a point or more from it. */
  private static boolean off(Resolver.Request request) {
    return request.logged().stream().anyMatch(set -> {
      Rpe rated = set.rpe();
      RpeTarget asked = set.part() > request.line().line().parts().size() ? null : request.line().line().parts().get(set.part() - 1).rpe();
      return rated != null && asked != null && set.reps() > 0 && Math.abs(rated.value() - asked.middle()) >= OFF;
    });
  }
}
