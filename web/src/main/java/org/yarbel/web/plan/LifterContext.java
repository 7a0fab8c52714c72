package org.yarbel.web.plan;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.Caution;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.RampStyle;
import org.yarbel.core.card.RatioEstimate;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.card.WarmUp;
import org.yarbel.core.card.Warmth;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Bar;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Equipment;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.ParsedLine;
import org.yarbel.core.notation.Problem;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.Groups;
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
   * @param level in this lift; null when nobody said
   */
  public record Known(MaxNumbers numbers, Basis basis, Lift.@Nullable Ratio ratio, EffortChart chart, @Nullable Level level) {
    /** Nothing but numbers and their basis. */
    public static Known of(MaxNumbers numbers, Basis basis) {
      return new Known(numbers, basis, null, EffortChart.HOUSE, null);
    }
  }

  /** What loads a lift, and all its totals. */
  public interface Loads {
    Optional<PlaceKit.Loaded> of(Lift lift, @Nullable String bar);

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

    /** The kit of a place. */
    static Loads of(PlaceKit kit, Catalogue lifts, MassUnit unit, Places places) {
      return new Loads() {
        @Override
        public Optional<PlaceKit.Loaded> of(Lift lift, @Nullable String bar) {
          return kit.loaded(lift, lifts, unit, bar);
        }

        @Override
        public Optional<Bar> bar(Lift lift, @Nullable String name) {
          return !lift.onBar() ? Optional.empty() : name == null ? kit.bar(lift, lifts)
              : kit.bars().stream().filter(bar -> bar.name().equals(name)).findFirst();
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
          return places.loadables(loaded);
        }
      };
    }
  }

  private static final Set<Equipment> FALLS =
      EnumSet.of(Equipment.STONE, Equipment.KEG, Equipment.SANDBAG, Equipment.YOKE, Equipment.TYRE);

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
    return numbers.estimated() != null ? numbers : estimates().byRatio(lift).map(numbers::withEstimate).orElse(numbers);
  }

  /** What the shares of a lift are of: one that is lowered with help has no max of its own, but that of the lift as such. */
  private Lift unaided(Lift lift) {
    return lift.variation().assisted() ? lifts.parent(lift).map(this::unaided).orElse(lift) : lift;
  }

  private RatioEstimate estimates() {
    return new RatioEstimate(lifts,
        lift -> Optional.ofNullable(known.get(lift.key())).map(own -> own.numbers().estimated()),
        lift -> Optional.ofNullable(known.get(lift.key())).map(Known::ratio));
  }

  public Basis basis(Lift lift) {
    Known own = known.get(unaided(lift).key());
    return own == null ? Basis.ESTIMATED : own.basis();
  }

  /** The number percentages of a lift are of; null while it is not known. */
  public @Nullable Mass basisMax(Lift lift) {
    return numbers(lift).of(basis(lift));
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

  /**
   * A line as the core is asked for it.
   *
   * @param details what is said beside the work
   * @param rounds of its group, 1 without one
   * @param warmTo what it is warm to; null when it is cold
   * @throws NotationException where the rounds make more sets than a line may have
   */
  public Resolver.Request request(Lift lift, ParsedLine line, Details details, int rounds, @Nullable Mass warmTo) {
    Map<String, MaxNumbers> others = numbersFor(lift, line);
    MaxNumbers own = others.get(lift.key());
    Loadables loadables = kit.of(lift, details.bar()).map(kit::search).orElse(null);
    EffortChart chart = known.containsKey(unaided(lift).key()) ? known.get(unaided(lift).key()).chart() : EffortChart.HOUSE;
    WarmUp warmUp = loadables == null ? null : new WarmUp(ramp, warmTo, details.handRamp(unit));
    return new Resolver.Request(inRounds(line, rounds), basis(lift), own, others, bodyMass, loadables, unit, chart,
        lift.movement(), lift.variation().partial(), List.of(), warmUp, level(lift));
  }

  private static ParsedLine inRounds(ParsedLine line, int rounds) {
    WorkLine all = line.line().times(rounds);
    List<Problem> problems = new ArrayList<>();
    for (int i = 0; i < all.parts().size(); i++) {
      if (all.parts().get(i).work().sets() > WorkLine.MAX_SETS) {
        problems.add(Problem.at(line.places().get(i).part(), "In " + rounds + " rounds this comes to more than "
            + WorkLine.MAX_SETS + " sets: write fewer, or fewer rounds."));
      }
    }
    if (!problems.isEmpty()) {
      throw new NotationException(problems);
    }
    return new ParsedLine(all, line.places());
  }

  /**
   * A line of a session, worked out or not.
   *
   * @param request what it was worked out with; null when it could not be read
   * @param line null when it could not be worked out
   * @param wrong why not; null when it could
   */
  public record Worked(Resolver.@Nullable Request request, @Nullable ResolvedLine line, @Nullable NotationException wrong) {}

  /** A line of a session with another text, as it would be worked out in its place; its warm-up aside. */
  public Worked instead(Slot slot, String work, Groups groups) {
    Lift lift = lift(slot.lift());
    return training(lift, slot.trainingNg()).work(lift, work, slot.details(), rounds(groups.group(slot.groupNo())), null);
  }

  /**
   * A line that would stand behind others, in a group of the session or in none.
   *
   * @param training the training max it was written for, in nanograms; null for the lifter's own of the day
   */
  public Worked after(List<Slot> before, Groups groups, Lift lift, String work, Details details, @Nullable Integer groupNo, @Nullable Long training) {
    List<Warmth.Taken> taken = new ArrayList<>();
    Map<Long, Worked> worked = session(before, groups);
    before.forEach(slot -> taken(lift(slot.lift()), Objects.requireNonNull(worked.get(slot.id()))).ifPresent(taken::add));
    return training(lift, training).work(lift, work, details, rounds(groups.group(groupNo)), Warmth.of(lift, taken, lifts));
  }

  /** The lines of a session in their order: what is lifted before makes a lift warm. */
  public Map<Long, Worked> session(List<Slot> slots, Groups groups) {
    Map<Long, Worked> worked = new LinkedHashMap<>();
    List<Warmth.Taken> taken = new ArrayList<>();
    for (Slot slot : slots) {
      Lift lift = lift(slot.lift());
      Worked line = training(lift, slot.trainingNg()).work(lift, slot.work(), slot.details(), rounds(groups.group(slot.groupNo())),
          Warmth.of(lift, taken, lifts));
      worked.put(slot.id(), line);
      taken(lift, line).ifPresent(taken::add);
    }
    return worked;
  }

  /** The same with the training max a line was written for; null for the lifter's own of the day. */
  private LifterContext training(Lift lift, @Nullable Long nanograms) {
    Known own = known.get(lift.key());
    if (nanograms == null || own == null) {
      return this;
    }
    Map<String, Known> all = new HashMap<>(known);
    all.put(lift.key(), new Known(own.numbers().withTraining(Mass.ofNanograms(nanograms, unit)), own.basis(), own.ratio(), own.chart(), own.level()));
    return new LifterContext(unit, bodyMass, all, ramp, lifts, kit);
  }

  private static int rounds(@Nullable Group group) {
    return group == null || group.rounds() == null ? 1 : group.rounds();
  }

  private static Optional<Warmth.Taken> taken(Lift lift, Worked worked) {
    return worked.line() == null ? Optional.empty() : worked.line().sets().stream().map(ResolvedSet::load)
        .filter(Objects::nonNull).max(Mass::compareTo).map(heaviest -> new Warmth.Taken(lift, heaviest));
  }

  /**
   * What a line of a session is worked out with, without its warm-up and by the training max it was written for.
   *
   * @throws NotationException where it cannot be read
   */
  public Resolver.Request planned(Slot slot, Groups groups) {
    Lift lift = lift(slot.lift());
    return training(lift, slot.trainingNg()).request(lift, WorkLine.parse(slot.work()), slot.details(), rounds(groups.group(slot.groupNo())), null)
        .withWarmUp(null);
  }

  /** A line worked out without its warm-up and its cautions; empty when it cannot be. */
  public Optional<ResolvedLine> withoutRamp(Slot slot, Groups groups) {
    try {
      return Optional.of(Resolver.resolve(planned(slot, groups)));
    } catch (NotationException wrong) {
      return Optional.empty();
    }
  }

  /** A line worked out as {@link #request} says, or why it cannot be. */
  public Worked work(Lift lift, String work, Details details, int rounds, @Nullable Mass warmTo) {
    try {
      Resolver.Request request = request(lift, WorkLine.parse(work), details, rounds, warmTo);
      return new Worked(request, withLiftCautions(lift, request, Resolver.resolve(request)), null);
    } catch (NotationException wrong) {
      return new Worked(null, null, wrong);
    }
  }

  /** What is to be minded of the lift itself: where its number comes from, and what falls down. */
  private ResolvedLine withLiftCautions(Lift lift, Resolver.Request request, ResolvedLine line) {
    List<Caution> cautions = new ArrayList<>(line.cautions());
    Known own = known.get(lift.key());
    Optional<Lift.Ratio> ratio = estimates().ratio(lift);
    boolean derived = (own == null || own.numbers().estimated() == null) && request.numbers().estimated() != null;
    boolean used = request.line().line().parts().stream().anyMatch(part -> part.rpe() != null && part.load() == null
        || part.load() instanceof Load.Percent percent && percent.lift() == null);
    if (derived && used && ratio.isPresent() && !lift.variation().assisted()) {
      cautions.add(Caution.byRatio(lifts.parent(lift).orElseThrow().name(), ratio.get()));
    }
    if (FALLS.contains(lift.equipment())) {
      cautions.add(Caution.landing());
    }
    if (lift.variation().assisted() && cautions.stream().noneMatch(said -> said.code().equals(Caution.Kind.NEGATIVE.code()))) {
      cautions.add(Caution.negative());
    }
    boolean banded = request.line().line().parts().stream().anyMatch(part -> part.option(Option.Bands.class).isPresent() || part.option(Option.Reverse.class).isPresent());
    if (banded) {
      kit.bandsWithoutPartner().forEach(why -> cautions.add(Caution.bandsDiffer(why)));
    }
    return cautions.size() == line.cautions().size() ? line
        : new ResolvedLine(line.notation(), line.ramp(), line.sets(), line.today(), cautions);
  }
}
