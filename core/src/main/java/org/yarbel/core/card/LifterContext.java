package org.yarbel.core.card;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Bar;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.ParsedLine;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.Standing;

/**
 * What a lifter's lines are worked out with: their numbers, body mass and unit, and the kit of the place. {@link
 * SessionResolver} works them out.
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
  /** From this share of the max on its spread is too wide to judge by. Our own default: a rated set leaves about half of it. */
  private static final double HARDLY_KNOWN = 0.08;

  /**
   * What is known of one lift.
   *
   * @param basis of percentages without a basis of their own
   * @param ratio to the parent, learned from the log; null where the catalogue's default holds
   * @param chart the effort chart, the lifter's own where there are sets enough for one
   * @param level in this lift; null when nobody said
   * @param tracked where its tracker stands; null where nothing is known
   */
  public record Known(MaxNumbers numbers, Basis basis, Lift.@Nullable Ratio ratio, EffortChart chart, @Nullable Level level,
      @Nullable Tracked tracked) {
    /** Without a tracker. */
    public Known(MaxNumbers numbers, Basis basis, Lift.@Nullable Ratio ratio, EffortChart chart, @Nullable Level level) {
      this(numbers, basis, ratio, chart, level, null);
    }

    /** Nothing but numbers and their basis. */
    public static Known of(MaxNumbers numbers, Basis basis) {
      return new Known(numbers, basis, null, EffortChart.HOUSE, null);
    }
  }

  /** Where the tracker of a lift stands, and the day that is today. */
  public record Tracked(Standing standing, LocalDate today) {}

  /** What loads a lift, and all its totals. */
  public interface Loads {
    /** What loads a lift on a bar of this name, or on its own without one; empty where nothing here does. */
    Optional<PlaceKit.Loaded> of(Lift lift, @Nullable String bar);

    /** All the totals of what loads a lift. */
    Loadables search(PlaceKit.Loaded loaded);

    /** The bar a lift is done with; empty where it is not done with one, or nobody knows. */
    default Optional<Bar> bar(Lift lift, @Nullable String name) {
      return Optional.empty();
    }

    /** The names of the bars there are. */
    List<String> bars();

    /** Why bands that are there make no pair. */
    default List<String> bandsWithoutPartner() {
      return List.of();
    }

    /**
     * The kit of a place.
     *
     * @param totals all that loads a lift; it takes long and is worth keeping
     */
    static Loads of(PlaceKit kit, Catalogue lifts, MassUnit unit, Function<PlaceKit.Loaded, Loadables> totals) {
      return new Loads() {
        @Override
        public Optional<PlaceKit.Loaded> of(Lift lift, @Nullable String bar) {
          return kit.loaded(lift, lifts, unit, bar);
        }

        @Override
        public Optional<Bar> bar(Lift lift, @Nullable String name) {
          if (!lift.onBar()) {
            return Optional.empty();
          }
          return name == null ? kit.bar(lift, lifts) : kit.bars().stream().filter(bar -> bar.name().equals(name)).findFirst();
        }

        @Override
        public List<String> bars() {
          return kit.bars().stream().map(Bar::name).toList();
        }

        @Override
        public List<String> bandsWithoutPartner() {
          return kit.bandsWithoutPartner();
        }

        @Override
        public Loadables search(PlaceKit.Loaded loaded) {
          return totals.apply(loaded);
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
  public MaxNumbers numbers(Lift asked) {
    Lift lift = unaided(asked);
    Known own = known.get(lift.key());
    MaxNumbers numbers = own == null ? MaxNumbers.NONE : own.numbers();
    return numbers.estimated() != null ? numbers : estimates().byRatio(lift)
        .map(estimate -> numbers.withEstimate(estimate, Objects.requireNonNull(lift.parent()))).orElse(numbers);
  }

  /** What the shares of a lift are of: one that is lowered with help has no max of its own, but that of the lift as such. */
  Lift unaided(Lift lift) {
    return lift.variation().assisted() ? lifts.parent(lift).map(this::unaided).orElse(lift) : lift;
  }

  RatioEstimate estimates() {
    return new RatioEstimate(lifts,
        lift -> Optional.ofNullable(known.get(lift.key())).map(own -> own.numbers().estimated()),
        lift -> Optional.ofNullable(known.get(lift.key())).map(Known::ratio));
  }

  /** What a percentage without a basis is of, for this lift. */
  public Basis basis(Lift lift) {
    Known own = known.get(unaided(lift).key());
    return own == null ? Basis.ESTIMATED : own.basis();
  }

  /** The number percentages of a lift are of; null while it is not known. */
  public @Nullable Mass basisMax(Lift lift) {
    return numbers(lift).of(basis(lift));
  }

  /** Where the tracker of a lift stands; empty where it has none of its own. */
  public Optional<Tracked> tracked(Lift lift) {
    return Optional.ofNullable(known.get(unaided(lift).key())).map(Known::tracked);
  }

  /**
   * The max to judge a load of a day by: on one to come that to expect where the lift goes on being trained, else as it is known. Null
   * where none is known, or so badly that a share of it says nothing of how hard a set is, as of lifts that nobody ever rates.
   */
  public @Nullable Mass expected(Lift lift, LocalDate day) {
    Tracked tracked = tracked(lift).orElse(null);
    if (tracked == null) {
      return numbers(lift).best();
    }
    LocalDate from = later(tracked);
    Estimate now = tracked.standing().on(from).max(unit);
    if (now.sd().ratioTo(now.max()) > HARDLY_KNOWN) {
      return null;
    }
    return day.isAfter(from) ? tracked.standing().ahead(from, day).max(unit).max() : numbers(lift).best();
  }

  private static LocalDate later(Tracked tracked) {
    LocalDate known = tracked.standing().day();
    return known.isAfter(tracked.today()) ? known : tracked.today();
  }

  /** What the loads of a lift are drawn against: its own max, of a partial that of the whole lift. */
  public @Nullable Mass drawnAgainst(Lift lift) {
    Lift whole = lift;
    for (Optional<Lift> parent = lifts.parent(lift); whole.variation().partial() && parent.isPresent(); parent = lifts.parent(whole)) {
      whole = parent.get();
    }
    return basisMax(whole);
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

  /** How far the lifter has come in a lift: as somebody said of it, or of what it varies; null when nobody did. */
  public @Nullable Level level(Lift lift) {
    for (Lift forebear : lifts.line(lift)) {
      Known own = known.get(forebear.key());
      if (own != null && own.level() != null) {
        return own.level();
      }
    }
    return null;
  }

  /** The effort chart of a lift: the lifter's own where there are sets enough for one. */
  public EffortChart chart(Lift lift) {
    Known own = known.get(unaided(lift).key());
    return own == null ? EffortChart.HOUSE : own.chart();
  }

  /** The same with a training max that a line was written for; null for the lifter's own of the day. */
  LifterContext training(Lift lift, @Nullable Mass training) {
    Known own = known.get(lift.key());
    if (training == null || own == null) {
      return this;
    }
    Map<String, Known> all = new HashMap<>(known);
    all.put(lift.key(), new Known(own.numbers().withTraining(training), own.basis(), own.ratio(), own.chart(), own.level(),
        own.tracked()));
    return new LifterContext(unit, bodyMass, all, ramp, lifts, kit);
  }
}
