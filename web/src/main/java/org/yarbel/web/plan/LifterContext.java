package org.yarbel.web.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.ParsedLine;
import org.yarbel.core.notation.WorkLine;

/**
 * What a lifter's lines are worked out with: their numbers, body mass and unit, and the kit of their place.
 *
 * @param numbers by the key of the lift
 * @param bases the basis of each lift's plan, by its key; the estimated max where none is named
 */
public record LifterContext(
    MassUnit unit,
    @Nullable Mass bodyMass,
    Map<String, MaxNumbers> numbers,
    Map<String, Basis> bases,
    Kit kit,
    Loadables loadables) {
  public LifterContext {
    numbers = Map.copyOf(numbers);
    bases = Map.copyOf(bases);
  }

  public MaxNumbers numbers(Lift lift) {
    return numbers.getOrDefault(lift.key(), MaxNumbers.NONE);
  }

  public Basis basis(Lift lift) {
    return bases.getOrDefault(lift.key(), Basis.ESTIMATED);
  }

  /** The number percentages of a lift are of; null while it is not known. */
  public @Nullable Mass basisMax(Lift lift) {
    return numbers(lift).of(basis(lift));
  }

  /** A request to the core for a line of a lift. */
  public Resolver.Request request(Lift lift, ParsedLine line) {
    Map<String, MaxNumbers> others = new HashMap<>(numbers);
    others.remove(lift.key());
    return new Resolver.Request(line, basis(lift), numbers(lift), others, bodyMass, lift.onBar() ? loadables : null,
        unit, EffortChart.HOUSE, lift.movement(), false, List.of(), lift.onBar());
  }

  /**
   * A typed line, worked out.
   *
   * @throws org.yarbel.core.notation.NotationException with the places of what is wrong
   */
  public ResolvedLine resolve(Lift lift, String work) {
    return Resolver.resolve(request(lift, WorkLine.parse(work)));
  }

  /** The same with what was done. */
  public ResolvedLine resolve(Lift lift, String work, List<LoggedSet> logged) {
    return Resolver.resolve(request(lift, WorkLine.parse(work)).withLogged(logged));
  }
}
