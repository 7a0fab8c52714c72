package org.yarbel.core.kit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Equipment;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * Everything a place owns that loads a lift, and which of it a lift takes.
 *
 * @param unit the place's own, shown first
 * @param bars the first one serves every lift without a bar of its own
 * @param collars both together
 * @param plates of both units, each size once, in pairs
 * @param mixing whether kilogram and pound plates may stand on one bar
 * @param dumbbells in pairs
 * @param bands one by one
 * @param chains in pairs
 * @param strongman the implements
 */
public record PlaceKit(
    MassUnit unit,
    List<Bar> bars,
    Mass collars,
    List<PlateStock.Pairs> plates,
    boolean mixing,
    List<Dumbbell> dumbbells,
    List<Band> bands,
    List<Chain> chains,
    List<Implement> strongman) {
  /** Plates under this are fractional: 1.1 kg, so that 1.25 kg and 2.5 lb are ordinary ones. Our own default. */
  public static final Mass FRACTIONAL_UNDER = Mass.of("1.1", MassUnit.KG);

  /** Plates up to this go on a loadable dumbbell. Our own default. */
  private static final Mass MOST_ON_DUMBBELL = Mass.of("10", MassUnit.KG);

  public PlaceKit {
    bars = List.copyOf(bars);
    dumbbells = List.copyOf(dumbbells);
    bands = List.copyOf(bands);
    chains = List.copyOf(chains);
    strongman = List.copyOf(strongman);
    // the stock checks sizes and pairs; collars are checked with the first bar
    plates = new PlateStock(unit, plates).plates();
    if (collars.compareTo(Mass.of("20", MassUnit.KG)) > 0) {
      throw new Refused("The collars must be from 0 to 20 kg but were " + collars.text());
    }
  }

  /** A place with one bar and its plates. */
  public static PlaceKit of(Kit kit) {
    Bar bar = new Bar("Bar", kit.bar(), List.of(), true, true);
    return new PlaceKit(kit.unit(), List.of(bar), kit.collars(), kit.stock().plates(), false, List.of(), List.of(),
        List.of(), List.of());
  }

  /** The bar of a lift: one marked for it, else for what it varies, and so on; else the first one for every lift. */
  public Optional<Bar> bar(Lift lift, Catalogue catalogue) {
    for (Lift forebear : catalogue.line(lift)) {
      Optional<Bar> marked = bars.stream().filter(bar -> bar.lifts().contains(forebear.key())).findFirst();
      if (marked.isPresent()) {
        return marked;
      }
    }
    return bars.stream().filter(bar -> bar.lifts().isEmpty()).findFirst();
  }

  /**
   * The plates that go on one bar: all where they may mix, else those of the unit asked for, or of the other where the
   * place has none of it.
   */
  public PlateStock stock(MassUnit wanted) {
    if (mixing) {
      return new PlateStock(wanted, plates);
    }
    List<PlateStock.Pairs> own = plates.stream().filter(p -> p.size().unit() == wanted).toList();
    if (!own.isEmpty() || plates.isEmpty()) {
      return new PlateStock(wanted, own);
    }
    return new PlateStock(plates.get(0).size().unit(), plates);
  }

  /**
   * What a lift is loaded with here, on a bar of this name when the place has one and the lift is done with a bar.
   *
   * @param barName null for the bar of the lift
   */
  public Optional<Loaded> loaded(Lift lift, Catalogue catalogue, MassUnit wanted, @Nullable String barName) {
    Optional<Bar> named = barName == null || !lift.onBar() ? Optional.empty()
        : bars.stream().filter(bar -> bar.name().equalsIgnoreCase(barName)).findFirst();
    return named.isPresent()
        ? Optional.of(new Loaded.OnBar(kit(named.get().mass(), collars, stock(wanted))))
        : loaded(lift, catalogue, wanted);
  }

  /** What a lift is loaded with here; empty when the place has nothing for it, or nothing is loaded. */
  public Optional<Loaded> loaded(Lift lift, Catalogue catalogue, MassUnit wanted) {
    return switch (lift.equipment()) {
      case BAR -> bar(lift, catalogue).<Loaded>map(bar -> new Loaded.OnBar(kit(bar.mass(), collars, stock(wanted))));
      case DUMBBELL -> dumbbells(wanted);
      case BODY, OTHER -> Optional.empty();
      default -> implement(lift.equipment(), wanted);
    };
  }

  // plates too small to round by go on only where a load asks for them
  private static Kit kit(Mass bar, Mass collars, PlateStock stock) {
    Map<Boolean, List<PlateStock.Pairs>> bySize = stock.plates().stream().collect(Collectors.partitioningBy(PlaceKit::fractional));
    return new Kit(bar, collars, new PlateStock(stock.unit(), bySize.get(false)), bySize.get(true));
  }

  /** Whether a plate is too small to round loads by: under {@link #FRACTIONAL_UNDER}. */
  public static boolean fractional(PlateStock.Pairs plate) {
    return plate.size().compareTo(FRACTIONAL_UNDER) < 0;
  }

  private Optional<Loaded> dumbbells(MassUnit wanted) {
    List<Dumbbell> whole = dumbbells.stream().filter(d -> !d.loadable()).toList();
    if (!whole.isEmpty()) {
      return Optional.of(new Loaded.Fixed(masses(whole, Dumbbell::trueMass), wanted,
          whole.stream().filter(d -> !d.stamped().hits(d.trueMass()))
          .map(d -> new Stamp(d.stamped(), d.trueMass())).toList()));
    }
    return dumbbells.stream().filter(Dumbbell::loadable).findFirst()
        .<Loaded>map(handle -> new Loaded.OnBar(kit(handle.trueMass(), Mass.ofNanograms(0, wanted), small(stock(wanted).halved()))));
  }

  private static PlateStock small(PlateStock stock) {
    return new PlateStock(stock.unit(),
        stock.plates().stream().filter(p -> p.size().compareTo(MOST_ON_DUMBBELL) <= 0).toList());
  }

  private Optional<Loaded> implement(Equipment kind, MassUnit wanted) {
    List<Implement> own = strongman.stream().filter(i -> i.kind() == kind).toList();
    Optional<Implement> loadable = own.stream().filter(Implement::plateLoaded).min(Comparator.comparing(Implement::empty));
    if (loadable.isPresent()) {
      PlateStock stock = kind.perHand() ? stock(wanted).halved() : stock(wanted);
      return Optional.of(new Loaded.OnBar(kit(loadable.get().empty(), Mass.ofNanograms(0, wanted), stock)));
    }
    List<Mass> fixed = masses(own, Implement::empty);
    return fixed.isEmpty() ? Optional.empty() : Optional.of(new Loaded.Fixed(fixed, wanted, List.of()));
  }

  private static <T> List<Mass> masses(List<T> things, Function<T, Mass> mass) {
    return things.stream().map(mass).distinct().sorted().toList();
  }

  /** Why each band that has no partner makes no pair with the one most like it; empty when all do. */
  public List<String> bandsWithoutPartner() {
    List<Band> left = new ArrayList<>(bands);
    List<String> lonely = new ArrayList<>();
    while (!left.isEmpty()) {
      Band band = left.remove(0);
      Optional<Band> partner = left.stream().filter(other -> band.mismatch(other).isEmpty()).findFirst();
      if (partner.isPresent()) {
        left.remove(partner.get());
      } else {
        // two that nearly match are told of once
        boolean told = nearest(band).flatMap(other -> other.mismatch(band)).filter(lonely::contains).isPresent();
        if (!told) {
          lonely.add(alone(band));
        }
      }
    }
    return lonely;
  }

  /** Why a band that is here makes no pair with any other; empty when it does. */
  public Optional<String> withoutPartner(Band band) {
    boolean paired = bands.stream().anyMatch(other -> other != band && band.mismatch(other).isEmpty());
    return paired ? Optional.empty() : Optional.of(alone(band));
  }

  private String alone(Band band) {
    return nearest(band).flatMap(band::mismatch).orElse(band.name() + " has no partner here");
  }

  private Optional<Band> nearest(Band band) {
    return bands.stream().filter(other -> other != band).min(Comparator.comparingLong(other -> Math.abs(most(other) - most(band))));
  }

  private static long most(Band band) {
    return band.pulls().get(band.pulls().size() - 1).mass().nanograms();
  }

  /** What stands on a thing, and what it truly weighs: people say and write the first, the second is lifted. */
  public record Stamp(Mass stamped, Mass trueMass) {}

  /** What loads a lift. */
  public sealed interface Loaded {
    /** All totals. */
    Loadables search();

    /** A bar or an implement that takes plates. */
    record OnBar(Kit kit) implements Loaded {
      @Override
      public Loadables search() {
        return Loadables.of(kit);
      }
    }

    /**
     * Things that are lifted as they are.
     *
     * @param stamps of those that weigh something else than stands on them
     */
    record Fixed(List<Mass> masses, MassUnit unit, List<Stamp> stamps) implements Loaded {
      public Fixed {
        masses = List.copyOf(masses);
        stamps = List.copyOf(stamps);
      }

      @Override
      public Loadables search() {
        return Loadables.fixed(masses, unit, stamps);
      }
    }
  }
}
