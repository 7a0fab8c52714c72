package org.yarbel.core.kit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * Every total that a kit can load, and for each the loading with the fewest plates (of equally few, the heavier first
 * plate); or the masses of things that are lifted as they are, such as stones.
 *
 * <p>{@link #exact}, {@link #below} and {@link #above} know every total. Planning ({@link #nearest},
 * {@link #nearestBelow}, {@link #between}, {@link #around}) keeps to a ladder of them. Where kilogram and pound plates mix
 * on one bar there are totals every few grams, most with absurd plates: the ladder has the totals of the kit's own unit,
 * and a mixed one only where it lies {@value #MIXED_SPACING_GRAMS} g or more from every other, those with the fewest
 * plates first. Fractional plates are not rounded by; they are for loads somebody writes ({@link #written}). Immutable:
 * build it once for a kit and keep it. Sides over 520 kg are left out.
 */
public final class Loadables {
  private static final long MIXED_SPACING_GRAMS = 500;
  private static final long MIXED_SPACING = MIXED_SPACING_GRAMS * 1_000_000_000L;

  private final Kit kit;
  private final boolean onBar;
  private final SideSums own;
  private final SideSums other;
  /** Whether the ladder has every total. */
  private final boolean whole;
  /** The totals that planning uses, rising. */
  private final long[] totals;
  /** The sums of own and other plates behind each total. */
  private final int[] ownIndex;
  private final int[] otherIndex;

  private Loadables(Kit kit, boolean onBar, SideSums own, SideSums other, boolean whole, long[] totals, int[] ownIndex,
      int[] otherIndex) {
    this.kit = kit;
    this.onBar = onBar;
    this.own = own;
    this.other = other;
    this.whole = whole;
    this.totals = totals;
    this.ownIndex = ownIndex;
    this.otherIndex = otherIndex;
  }

  /** Searches all the totals of a kit. */
  public static Loadables of(Kit kit) {
    MassUnit unit = kit.unit();
    List<PlateStock.Pairs> plates = kit.everyPlate().plates();
    SideSums own = SideSums.of(plates.stream().filter(p -> p.size().unit() == unit).toList());
    SideSums other = SideSums.of(plates.stream().filter(p -> p.size().unit() != unit).toList());
    boolean rounded = !java.util.Objects.requireNonNull(kit.fractional()).isEmpty();
    SideSums ownRound = rounded ? SideSums.of(ofUnit(kit.stock(), unit, true)) : own;
    SideSums otherRound = rounded ? SideSums.of(ofUnit(kit.stock(), unit, false)) : other;
    List<Mix> ladder = ladder(kit.empty().nanograms(), ownRound, otherRound);
    return new Loadables(kit, true, own, other, !rounded && other.size() == 1,
        ladder.stream().mapToLong(Mix::total).toArray(),
        ladder.stream().mapToInt(mix -> own.indexOf(ownRound.sum(mix.own()))).toArray(),
        ladder.stream().mapToInt(mix -> other.indexOf(otherRound.sum(mix.other()))).toArray());
  }

  private static List<PlateStock.Pairs> ofUnit(PlateStock stock, MassUnit unit, boolean own) {
    return stock.plates().stream().filter(p -> (p.size().unit() == unit) == own).toList();
  }

  /**
   * Things that are lifted as they are: stones, kegs, dumbbells.
   *
   * @param masses at least one, in any order
   */
  public static Loadables fixed(List<Mass> masses, MassUnit unit) {
    if (masses.isEmpty()) {
      throw new IllegalArgumentException("There must be at least one mass");
    }
    long[] totals = masses.stream().mapToLong(Mass::nanograms).distinct().sorted().toArray();
    Mass nothing = Mass.ofNanograms(0, unit);
    SideSums none = SideSums.of(List.of());
    return new Loadables(new Kit(nothing, nothing, new PlateStock(unit, List.of())), false, none, none, true, totals,
        new int[totals.length], new int[totals.length]);
  }

  /** A total while the ladder is made. */
  private record Mix(int own, int other, int plates, long total) {}

  private static List<Mix> ladder(long empty, SideSums own, SideSums other) {
    List<Mix> ladder = new ArrayList<>(own.size());
    for (int i = 0; i < own.size(); i++) {
      ladder.add(new Mix(i, 0, own.count(i), empty + 2 * own.sum(i)));
    }
    return other.size() == 1 ? ladder : withMixed(empty, own, other, ladder);
  }

  private static List<Mix> withMixed(long empty, SideSums own, SideSums other, List<Mix> ownTotals) {
    List<Mix> mixes = new ArrayList<>();
    long most = Math.max(own.sum(own.size() - 1), other.sum(other.size() - 1));
    for (int j = 1; j < other.size(); j++) {
      for (int i = 0; i < own.size() && own.sum(i) + other.sum(j) <= most; i++) {
        mixes.add(new Mix(i, j, own.count(i) + other.count(j), empty + 2 * (own.sum(i) + other.sum(j))));
      }
    }
    mixes.sort(Comparator.comparingInt(Mix::plates).thenComparingLong(Mix::total));
    TreeMap<Long, Mix> kept = new TreeMap<>();
    ownTotals.forEach(mix -> kept.put(mix.total(), mix));
    for (Mix mix : mixes) {
      Long down = kept.floorKey(mix.total());
      Long up = kept.ceilingKey(mix.total());
      if ((down == null || mix.total() - down >= MIXED_SPACING) && (up == null || up - mix.total() >= MIXED_SPACING)) {
        kept.put(mix.total(), mix);
      }
    }
    return List.copyOf(kept.values());
  }

  public Kit kit() {
    return kit;
  }

  public MassUnit unit() {
    return kit.unit();
  }

  /** Whether plates go on; if not, things are lifted as they are. */
  public boolean onBar() {
    return onBar;
  }

  /** The bare bar with its collars, or the lightest thing. */
  public Loading lightest() {
    return loading(0);
  }

  /** All plates on, or the heaviest under the limit. */
  public Loading heaviest() {
    return loading(totals.length - 1);
  }

  /** The loading that hits the target, within a gram. */
  public Optional<Loading> exact(Mass target) {
    if (!whole) {
      return mixedExact(target);
    }
    Loading nearest = loading(indexNearest(target));
    return nearest.total().hits(target) ? Optional.of(nearest) : Optional.empty();
  }

  /** The heaviest loading not above the target (within a gram); empty when the bar alone is above it. */
  public Optional<Loading> below(Mass target) {
    if (!whole) {
      return mixedExact(target).or(() -> mixedBelow(target));
    }
    int i = indexBelow(target);
    return i < 0 ? Optional.empty() : Optional.of(loading(i));
  }

  /** The lightest loading not below the target (within a gram); empty when all the plates are below it. */
  public Optional<Loading> above(Mass target) {
    if (!whole) {
      return mixedExact(target).or(() -> mixedAbove(target));
    }
    int i = indexBelow(target);
    if (i >= 0 && loading(i).total().hits(target)) {
      return Optional.of(loading(i));
    }
    return i + 1 < totals.length ? Optional.of(loading(i + 1)) : Optional.empty();
  }

  /** The nearest loading, the lower of two equally near (within a gram); the lightest or heaviest beyond the ends. */
  public Loading nearest(Mass target) {
    return loading(indexNearest(target));
  }

  /** The heaviest loading not above the target, for sets where a miss costs the set; the bare bar when it is above. */
  public Loading nearestBelow(Mass target) {
    return loading(Math.max(indexBelow(target), 0));
  }

  /** The loading of a load that somebody wrote down: exactly that with any plates, else the nearest. */
  public Loading written(Mass load) {
    return exact(load).orElseGet(() -> nearest(load));
  }

  /** Every loading from one total to another, rising, both ends included. */
  public List<Loading> between(Mass from, Mass to) {
    List<Loading> found = new ArrayList<>();
    for (int i = Math.max(indexBelow(from), 0); i < totals.length && totals[i] <= to.nanograms(); i++) {
      if (totals[i] >= from.nanograms()) {
        found.add(loading(i));
      }
    }
    return found;
  }

  /** The loading nearest a target, then so many on each side of it, the nearer ones first. */
  public List<Loading> around(Mass target, int reach) {
    int nearest = indexNearest(target);
    List<Loading> found = new ArrayList<>(2 * reach + 1);
    found.add(loading(nearest));
    for (int i = 1; i <= reach; i++) {
      if (nearest - i >= 0) {
        found.add(loading(nearest - i));
      }
      if (nearest + i < totals.length) {
        found.add(loading(nearest + i));
      }
    }
    return found;
  }

  private int indexNearest(Mass target) {
    int lower = indexBelow(target);
    if (lower < 0) {
      return 0;
    }
    if (lower + 1 == totals.length) {
      return lower;
    }
    long down = target.nanograms() - totals[lower];
    long up = totals[lower + 1] - target.nanograms();
    return down < up + Mass.TOLERANCE_NANOGRAMS ? lower : lower + 1;
  }

  /** The last index whose total is not a gram or more above the target; −1 when there is none. */
  private int indexBelow(Mass target) {
    long limit = target.nanograms() + Mass.TOLERANCE_NANOGRAMS - 1;
    int low = 0;
    int high = totals.length;
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (totals[middle] <= limit) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low - 1;
  }

  private Loading loading(int index) {
    return otherIndex[index] == 0
        ? new Loading(Mass.ofNanograms(totals[index], unit()), own.plates(ownIndex[index]))
        : mix(ownIndex[index], otherIndex[index]);
  }

  private Loading mix(int i, int j) {
    List<Mass> plates = new ArrayList<>(own.plates(i));
    plates.addAll(other.plates(j));
    plates.sort(Comparator.reverseOrder());
    return new Loading(Mass.ofNanograms(mixedTotal(i, j), unit()), plates);
  }

  private long mixedTotal(int i, int j) {
    return kit.empty().nanograms() + 2 * (own.sum(i) + other.sum(j));
  }

  // One pass with two hands: own sums rising, other sums falling; each pair near the target is met once.
  private Optional<Loading> mixedExact(Mass target) {
    Loading best = null;
    for (int i = 0, j = other.size() - 1; i < own.size() && j >= 0; ) {
      long off = mixedTotal(i, j) - target.nanograms();
      if (Math.abs(off) < Mass.TOLERANCE_NANOGRAMS) {
        Loading found = mix(i, j);
        best = best == null || fewer(found, best) ? found : best;
      }
      if (off > 0) {
        j--;
      } else {
        i++;
      }
    }
    return Optional.ofNullable(best);
  }

  private static boolean fewer(Loading a, Loading b) {
    int plates = Integer.compare(a.perSide().size(), b.perSide().size());
    return plates < 0 || plates == 0 && !a.perSide().isEmpty() && a.perSide().get(0).compareTo(b.perSide().get(0)) > 0;
  }

  private Optional<Loading> mixedBelow(Mass target) {
    int bestI = -1;
    int bestJ = 0;
    for (int i = 0, j = other.size() - 1; i < own.size() && j >= 0; ) {
      if (mixedTotal(i, j) > target.nanograms()) {
        j--;
      } else {
        if (bestI < 0 || mixedTotal(i, j) > mixedTotal(bestI, bestJ)) {
          bestI = i;
          bestJ = j;
        }
        i++;
      }
    }
    return bestI < 0 ? Optional.empty() : Optional.of(mix(bestI, bestJ));
  }

  private Optional<Loading> mixedAbove(Mass target) {
    int bestI = -1;
    int bestJ = 0;
    for (int i = 0, j = other.size() - 1; i < own.size() && j >= 0; ) {
      if (mixedTotal(i, j) < target.nanograms()) {
        i++;
      } else {
        if (bestI < 0 || mixedTotal(i, j) < mixedTotal(bestI, bestJ)) {
          bestI = i;
          bestJ = j;
        }
        j--;
      }
    }
    return bestI < 0 ? Optional.empty() : Optional.of(mix(bestI, bestJ));
  }
}
