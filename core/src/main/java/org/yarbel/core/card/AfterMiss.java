package org.yarbel.core.card;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Part;

/**
 * The ways to go on when no rep was made of the set that back-offs hang on: another attempt 5 % lighter, or the planned
 * back-offs cut by 10 %. The 10 % are common practice, no source; the 5 % our own default.
 *
 * @param attempt the lighter attempt, logged behind the sets of its part, so that the miss stays
 * @param cut what the sets that hang on it become, by their places
 */
public record AfterMiss(ResolvedSet attempt, Map<LoggedSet.Place, Loading> cut) {
  private static final double LIGHTER = 0.95;
  private static final double CUT = 0.9;

  /** Attempts behind the planned sets of a part: further ones are not offered. */
  public static final int MOST_ATTEMPTS = 3;

  public AfterMiss {
    cut = Map.copyOf(cut);
  }

  /**
   * The ways of a line.
   *
   * @param request with what was logged so far; the heaviest miss of the top part is what the attempt is lighter than
   * @return empty where nothing hangs on a set, or nothing is loaded
   */
  public static Optional<AfterMiss> of(Resolver.Request request) {
    Loadables loadables = request.loadables();
    int follows = firstBackOff(request.line().line().parts());
    if (loadables == null || follows == 0) {
      return Optional.empty();
    }
    Resolver.Request plain = request.withWarmUp(null);
    List<ResolvedSet> planned = Resolver.resolve(plain.withLogged(List.of())).sets();
    Optional<ResolvedSet> top = planned.stream().filter(set -> set.part() < follows && set.role() != Role.WARM && set.load() != null)
        .reduce((one, next) -> Objects.requireNonNull(next.load()).compareTo(Objects.requireNonNull(one.load())) > 0 ? next : one);
    if (top.isEmpty()) {
      return Optional.empty();
    }
    int part = top.get().part();
    List<LoggedSet> tried = request.logged().stream().filter(set -> set.part() == part).toList();
    int sets = (int) planned.stream().filter(set -> set.part() == part).count();
    int last = tried.stream().mapToInt(LoggedSet::set).max().orElse(0);
    Mass missed = tried.stream().max(Comparator.comparingInt(LoggedSet::set)).map(LoggedSet::load).orElse(Objects.requireNonNull(top.get().load()));
    Map<LoggedSet.Place, Loading> cut = new HashMap<>();
    planned.stream().filter(set -> set.part() >= follows && set.load() != null && needsTop(request, set.part())).forEach(set ->
        cut.put(new LoggedSet.Place(set.part(), set.set()), loadables.nearest(Objects.requireNonNull(set.load()).scaled(CUT))));
    Loading lighter = loadables.nearestBelow(missed.scaled(LIGHTER));
    return Optional.of(new AfterMiss(top.get().asAttempt(Math.max(sets, last) + 1).withLoad(lighter, loadables.onBar()), cut));
  }

  /** Whether no rep was made of what back-offs hang on although it was tried: then the ways are to be shown. */
  public static boolean due(Resolver.Request request) {
    int follows = firstBackOff(request.line().line().parts());
    List<LoggedSet> tried = new ArrayList<>(request.logged().stream().filter(set -> set.part() < follows).toList());
    return follows > 0 && !tried.isEmpty() && tried.stream().noneMatch(set -> set.reps() > 0);
  }

  private static int firstBackOff(List<Part> parts) {
    for (int i = 0; i < parts.size(); i++) {
      Load load = parts.get(i).load();
      if (load != null && load.needsTop()) {
        return i + 1;
      }
    }
    return 0;
  }

  private static boolean needsTop(Resolver.Request request, int part) {
    Load load = request.line().line().parts().get(part - 1).load();
    return load != null && load.needsTop();
  }
}
