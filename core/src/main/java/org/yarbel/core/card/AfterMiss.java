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
import org.yarbel.core.notation.Part;

/**
 * The ways to go on when no rep was made of the set that back-offs hang on: another attempt 5 % lighter, or the planned
 * back-offs cut by 10 %. Of singles and maxes that nothing hangs on there is the other attempt alone, after a miss, and of a max that
 * was made one 2.5 % heavier: each is a set of its own, and a miss stays in the log. The 10 % are common practice, no source; the
 * other figures our own defaults.
 *
 * @param attempt logged behind the sets of its part; null where none is offered any more: after three of them, or once something
 *     that hangs on the set was lifted
 * @param cut what the sets that hang on it become, by their places; empty where nothing does
 * @param again whether the newest try of the part calls for another: it was missed, or a max that was made
 * @param heavier whether it was a max that was made, so that the attempt is a heavier one and comes before nothing else
 */
public record AfterMiss(@Nullable ResolvedSet attempt, Map<LoggedSet.Place, Loading> cut, boolean again, boolean heavier) {
  private static final double LIGHTER = 0.95;
  private static final double HEAVIER = 1.025;
  private static final double CUT = 0.9;
  private static final int MOST_ATTEMPTS = 3;
  private static final int MOST_OF_A_MAX = 9;

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
    List<Part> parts = request.line().line().parts();
    int follows = PlannedTop.firstBackOff(parts);
    if (loadables == null) {
      return Optional.empty();
    }
    List<ResolvedSet> planned = Resolver.resolve(request.withWarmUp(null).withLogged(List.of())).sets();
    if (follows == 0) {
      return planned.stream().filter(AfterMiss::triedAgain).reduce((one, next) -> next)
          .map(set -> of(request, planned, set, Map.of()));
    }
    Map<LoggedSet.Place, Loading> cut = new HashMap<>();
    planned.stream().filter(set -> set.part() >= follows && set.load() != null && PlannedTop.hangs(parts.get(set.part() - 1)))
        .forEach(set -> cut.put(new LoggedSet.Place(set.part(), set.set()),
            loadables.nearest(Objects.requireNonNull(set.load()).scaled(CUT))));
    return PlannedTop.before(planned, follows).map(set -> of(request, planned, set, cut));
  }

  private static AfterMiss of(Resolver.Request request, List<ResolvedSet> planned, ResolvedSet top, Map<LoggedSet.Place, Loading> cut) {
    Optional<LoggedSet> last = last(request, top.part());
    boolean missed = last.filter(set -> set.reps() == 0).isPresent();
    boolean heavier = top.role() == Role.MAX && last.filter(set -> set.reps() > 0).isPresent();
    return new AfterMiss(attempt(request, planned, top, heavier), cut, missed || heavier, heavier);
  }

  /** A single, or a max: what people try again. */
  private static boolean triedAgain(ResolvedSet set) {
    boolean single = set.role() == Role.STRAIGHT && set.reps() != null && set.reps() == 1;
    return set.load() != null && set.tellsOfMax() && (single || set.role() == Role.MAX || set.role() == Role.BUILD);
  }

  /**
   * Whether the ways are to be shown: no rep was made of what back-offs hang on although it was tried; where nothing hangs on it, the
   * newest try of its part was missed, or it was a max that was made.
   */
  public boolean due(ResolvedLine line) {
    return cut.isEmpty() ? attempt != null && again : noRepMade(line);
  }

  private static boolean noRepMade(ResolvedLine line) {
    return line.cautions().stream().anyMatch(caution -> caution.code().equals(Caution.Kind.NO_REP_MADE.code()));
  }

  private static Optional<LoggedSet> last(Resolver.Request request, int part) {
    return request.logged().stream().filter(set -> set.part() == part).max(Comparator.comparingInt(LoggedSet::set));
  }

  private static @Nullable ResolvedSet attempt(Resolver.Request request, List<ResolvedSet> planned, ResolvedSet top, boolean heavier) {
    Loadables loadables = Objects.requireNonNull(request.loadables());
    int sets = (int) planned.stream().filter(set -> set.part() == top.part()).count();
    Optional<LoggedSet> last = last(request, top.part());
    int number = Math.max(sets, last.map(LoggedSet::set).orElse(0)) + 1;
    boolean goneOn = request.logged().stream().anyMatch(set -> set.part() > top.part());
    if (goneOn || number > sets + (top.role() == Role.MAX ? MOST_OF_A_MAX : MOST_ATTEMPTS)) {
      return null;
    }
    Mass tried = last.map(LoggedSet::load).orElse(Objects.requireNonNull(top.load()));
    Loading next = heavier ? loadables.nearest(tried.scaled(HEAVIER)) : loadables.nearestBelow(tried.scaled(LIGHTER));
    return top.asAttempt(number).withLoad(next, loadables.onBar());
  }
}
