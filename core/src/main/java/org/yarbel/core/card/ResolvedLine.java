package org.yarbel.core.card;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;

/**
 * A line worked out for a lifter.
 *
 * @param notation the line in normal form
 * @param ramp the warm-up to its first working set, that set not included
 * @param today today's max from the heaviest logged set, raw; null until a rated set is logged
 */
public record ResolvedLine(
    String notation, List<RampStep> ramp, List<ResolvedSet> sets, @Nullable Mass today, List<Caution> cautions) {
  public ResolvedLine {
    ramp = List.copyOf(ramp);
    sets = List.copyOf(sets);
    cautions = List.copyOf(cautions);
  }

  /**
   * The same with what was done in its sets, to look back on: what was not logged stays as it was asked, and no back-off is
   * worked out anew, as {@link Resolver} does while it is lifted.
   */
  public ResolvedLine with(Collection<LoggedSet> done) {
    if (done.isEmpty()) {
      return this;
    }
    Map<LoggedSet.Place, LoggedSet> byPlace = done.stream().collect(Collectors.toMap(LoggedSet::place, set -> set, (one, other) -> one));
    return with(sets.stream().map(set -> Optional.ofNullable(byPlace.get(new LoggedSet.Place(set.part(), set.set())))
        .map(logged -> set.asLogged(logged, null, set.ends())).orElse(set)).toList());
  }

  /** The same with the sets alone that were done. */
  public ResolvedLine onlyDone() {
    return with(sets.stream().filter(ResolvedSet::logged).toList());
  }

  /** The same with the sets alone that were done, as they were asked; where the lifter picked, with the load that was lifted. */
  public ResolvedLine onlyTried(Collection<LoggedSet> done) {
    Map<LoggedSet.Place, LoggedSet> byPlace = done.stream().collect(Collectors.toMap(LoggedSet::place, set -> set, (one, other) -> one));
    return with(sets.stream().filter(set -> byPlace.containsKey(new LoggedSet.Place(set.part(), set.set())))
        .map(set -> set.load() != null ? set
        : set.asLogged(Objects.requireNonNull(byPlace.get(new LoggedSet.Place(set.part(), set.set()))), null, set.ends())).toList());
  }

  /** Whether the load of a set moves with the estimated max: a share of it, a chart's load from it, or what hangs on such a set. */
  public boolean followsTheEstimate(ResolvedSet set) {
    LoadSource source = set.source();
    if (source instanceof LoadSource.Share share) {
      return follows(share.of());
    }
    if (source instanceof LoadSource.ByChart byChart) {
      return follows(byChart.of());
    }
    if (source instanceof LoadSource.Drop drop) {
      return hangs(drop.from());
    }
    return source instanceof LoadSource.ShareOfSet part && hangs(part.of());
  }

  private static boolean follows(LoadSource.Number number) {
    return number.lift() == null && number.basis() != Basis.GOAL && number.basis() != Basis.TESTED;
  }

  private boolean hangs(LoadSource.Set on) {
    return sets.stream().filter(set -> on.place().equals(new LoggedSet.Place(set.part(), set.set()))).findFirst()
        .filter(this::followsTheEstimate).isPresent();
  }

  private ResolvedLine with(List<ResolvedSet> others) {
    return new ResolvedLine(notation, ramp, others, today, cautions);
  }
}
