package org.yarbel.web.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.Caution;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.RampStyle;
import org.yarbel.core.card.RatioEstimate;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.ParsedLine;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.web.club.Places;

/**
 * What a lifter's lines are worked out with: their numbers, body mass and unit, and the kit of the place.
 *
 * @param known by the key of the lift
 * @param kit what loads each lift here
 */
public record LifterContext(
    MassUnit unit,
    @Nullable Mass bodyMass,
    Map<String, Known> known,
    RampStyle ramp,
    Catalogue lifts,
    Loads kit) {
  /**
   * What is known of one lift.
   *
   * @param basis of percentages without a basis of their own
   * @param ratio to the parent, learned from the log; null where the catalogue's default holds
   * @param chart the effort chart, the lifter's own where there are sets enough for one
   */
  public record Known(MaxNumbers numbers, Basis basis, Lift.@Nullable Ratio ratio, EffortChart chart) {
    /** Nothing but numbers and their basis. */
    public static Known of(MaxNumbers numbers, Basis basis) {
      return new Known(numbers, basis, null, EffortChart.HOUSE);
    }
  }

  /** What loads a lift, and all its totals. */
  public interface Loads {
    Optional<PlaceKit.Loaded> of(Lift lift);

    Loadables search(PlaceKit.Loaded loaded);

    /** The kit of a place. */
    static Loads of(PlaceKit kit, Catalogue lifts, MassUnit unit, Places places) {
      return new Loads() {
        @Override
        public Optional<PlaceKit.Loaded> of(Lift lift) {
          return kit.loaded(lift, lifts, unit);
        }

        @Override
        public Loadables search(PlaceKit.Loaded loaded) {
          return places.loadables(loaded);
        }
      };
    }
  }

  public LifterContext {
    known = Map.copyOf(known);
  }

  /** The lift of a key that stands in the plan. */
  public Lift lift(String key) {
    return lifts.ofKey(key).orElseThrow();
  }

  /** The numbers of a lift; one without an estimate of its own takes its parent's by the ratio. */
  public MaxNumbers numbers(Lift lift) {
    Known own = known.get(lift.key());
    MaxNumbers numbers = own == null ? MaxNumbers.NONE : own.numbers();
    return numbers.estimated() != null ? numbers : estimates().byRatio(lift).map(numbers::withEstimate).orElse(numbers);
  }

  private RatioEstimate estimates() {
    return new RatioEstimate(lifts,
        lift -> Optional.ofNullable(known.get(lift.key())).map(own -> own.numbers().estimated()),
        lift -> Optional.ofNullable(known.get(lift.key())).map(Known::ratio));
  }

  public Basis basis(Lift lift) {
    Known own = known.get(lift.key());
    return own == null ? Basis.ESTIMATED : own.basis();
  }

  /** The number percentages of a lift are of; null while it is not known. */
  public @Nullable Mass basisMax(Lift lift) {
    return numbers(lift).of(basis(lift));
  }

  /** The numbers of every lift that a line of a lift asks for, by key. */
  public Map<String, MaxNumbers> numbersFor(Lift lift, ParsedLine line) {
    Map<String, MaxNumbers> numbers = new HashMap<>();
    known.forEach((key, own) -> numbers.put(key, own.numbers()));
    numbers.put(lift.key(), numbers(lift));
    line.line().parts().forEach(part -> {
      if (part.load() instanceof Load.Percent percent && percent.lift() != null) {
        lifts.ofKey(percent.lift()).map(this::numbers).filter(n -> !n.equals(MaxNumbers.NONE))
            .ifPresent(n -> numbers.put(percent.lift(), n));
      }
    });
    return numbers;
  }

  /** A request to the core for a line of a lift. */
  public Resolver.Request request(Lift lift, ParsedLine line) {
    Map<String, MaxNumbers> others = numbersFor(lift, line);
    MaxNumbers own = others.remove(lift.key());
    Loadables loadables = kit.of(lift).map(kit::search).orElse(null);
    EffortChart chart = known.containsKey(lift.key()) ? known.get(lift.key()).chart() : EffortChart.HOUSE;
    return new Resolver.Request(line, basis(lift), own, others, bodyMass, loadables, unit, chart, lift.movement(), partial(lift),
        List.of(), loadables == null ? null : WarmUp.of(ramp), level);
  }

  /**
   * A typed line, worked out.
   *
   * @throws org.yarbel.core.notation.NotationException with the places of what is wrong
   */
  public ResolvedLine resolve(Lift lift, String work) {
    return resolve(lift, work, List.of());
  }

  /** The same with what was done. */
  public ResolvedLine resolve(Lift lift, String work, List<LoggedSet> logged) {
    Resolver.Request request = request(lift, WorkLine.parse(work)).withLogged(logged);
    return withRatio(lift, request, Resolver.resolve(request));
  }

  /** A line worked out by a ratio says so. */
  public ResolvedLine withRatio(Lift lift, Resolver.Request request, ResolvedLine line) {
    Known own = known.get(lift.key());
    Optional<Lift.Ratio> ratio = estimates().ratio(lift);
    boolean derived = (own == null || own.numbers().estimated() == null) && request.numbers().estimated() != null;
    boolean used = request.line().line().parts().stream().anyMatch(part -> part.rpe() != null && part.load() == null
        || part.load() instanceof Load.Percent percent && percent.lift() == null);
    if (!derived || !used || ratio.isEmpty()) {
      return line;
    }
    List<Caution> cautions = new ArrayList<>(line.cautions());
    cautions.add(Caution.byRatio(lifts.parent(lift).orElseThrow().name(), ratio.get()));
    return new ResolvedLine(line.notation(), line.ramp(), line.sets(), line.today(), cautions);
  }
}
