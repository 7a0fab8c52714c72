package org.yarbel.core.card;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Part;

/**
 * The ways to go on when no rep was made of the set that back-offs hang on: another attempt 5 % lighter, or the planned
 * back-offs cut by 10 %. The 10 % are common practice, no source; the 5 % our own default.
 *
 * @param attempt the lighter attempt, logged behind the sets of its part, so that the miss stays; null where none is offered any
 *     more: after three of them, or once something that hangs on the set was lifted
 * @param cut what the sets that hang on it become, by their places
 */
public record AfterMiss(@Nullable ResolvedSet attempt, Map<LoggedSet.Place, Loading> cut) {
  private static final double LIGHTER = 0.95;
  private static final double CUT = 0.9;
  private static final int MOST_ATTEMPTS = 3;

  public AfterMiss {
    cut = Map.copyOf(cut);
  }

  /**
   * The ways of a line.
   *
   * @param request with what was logged so far; the attempt is lighter than what was tried last of the top part
   * @return empty where nothing hangs on a set, or nothing is loaded
   */
  public static Optional<AfterMiss> of(Resolver.Request request) {
    Loadables loadables = request.loadables();
    int follows = firstBackOff(request.line().line().parts());
    if (loadables == null || follows == 0) {
      return Optional.empty();
    }
    List<ResolvedSet> planned = Resolver.resolve(request.withWarmUp(null).withLogged(List.of())).sets();
    Optional<ResolvedSet> top = planned.stream().filter(set -> set.part() < follows && set.role() != Role.WARM && set.load() != null)
        .reduce((one, next) -> Objects.requireNonNull(next.load()).compareTo(Objects.requireNonNull(one.load())) > 0 ? next : one);
    Map<LoggedSet.Place, Loading> cut = new HashMap<>();
    planned.stream().filter(set -> set.part() >= follows && set.load() != null && needsTop(request, set.part())).forEach(set ->
        cut.put(new LoggedSet.Place(set.part(), set.set()), loadables.nearest(Objects.requireNonNull(set.load()).scaled(CUT))));
    return top.map(set -> new AfterMiss(attempt(request, planned, set, loadables), cut));
  }

  /** Whether no rep was made of what back-offs hang on although it was tried: then the ways are to be shown. */
  public static boolean due(ResolvedLine line) {
    return line.cautions().stream().anyMatch(caution -> caution.code().equals(Caution.Kind.NO_REP_MADE.code()));
  }

  private static @Nullable ResolvedSet attempt(Resolver.Request request, List<ResolvedSet> planned, ResolvedSet top, Loadables loadables) {
    int sets = (int) planned.stream().filter(set -> set.part() == top.part()).count();
    Optional<LoggedSet> last = request.logged().stream().filter(set -> set.part() == top.part())
        .max(Comparator.comparingInt(LoggedSet::set));
    int number = Math.max(sets, last.map(LoggedSet::set).orElse(0)) + 1;
    boolean goneOn = request.logged().stream().anyMatch(set -> set.part() > top.part());
    if (goneOn || number > sets + MOST_ATTEMPTS) {
      return null;
    }
    Mass tried = last.map(LoggedSet::load).orElse(Objects.requireNonNull(top.load()));
    return top.asAttempt(number).withLoad(loadables.nearestBelow(tried.scaled(LIGHTER)), loadables.onBar());
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
