package org.yarbel.core.kit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReferenceArray;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * Every total that a kit can load, and for each the loading with the fewest plates (of equally few, the heavier first
 * plate); or the masses of things that are lifted as they are, such as stones.
 *
 * <p>{@link #exact}, {@link #below} and {@link #above} know every total. Planning ({@link #nearest},
 * {@link #nearestBelow}, {@link #between}) keeps to a ladder of them. Where kilogram and pound plates mix
 * on one bar there are totals every few grams, most with absurd plates: the ladder has the totals of the kit's own unit,
 * and a mixed one only where it lies {@value MixedLadder#SPACING_GRAMS} g or more from every other, those with the fewest
 * plates first; of stocks of very many sizes in odd steps only so many mixes are looked at, and {@link #leavesOut} says so.
 * Fractional plates are not rounded by; they are for loads somebody writes ({@link #written}). Immutable:
 * build it once for a kit and keep it. Sides over 520 kg are left out.
 */
public final class Loadables {
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
  private final List<PlaceKit.Stamp> stamps;
  private final boolean leavesOut;
  /** Found when first asked for, by whichever thread: every one finds the same. */
  private final AtomicReferenceArray<@Nullable Loading> loadings;
  private final AtomicReferenceArray<PlateSeries.Way @Nullable []> ways;

  private Loadables(Kit kit, boolean onBar, SideSums own, SideSums other, Rungs rungs, List<PlaceKit.Stamp> stamps) {
    this.kit = kit;
    this.onBar = onBar;
    this.own = own;
    this.other = other;
    this.whole = rungs.whole();
    this.leavesOut = rungs.leavesOut();
    this.totals = rungs.totals();
    this.ownIndex = rungs.ownIndex();
    this.otherIndex = rungs.otherIndex();
    this.stamps = List.copyOf(stamps);
    this.loadings = new AtomicReferenceArray<>(totals.length);
    this.ways = new AtomicReferenceArray<>(totals.length);
  }

  /**
   * The ladder as it is searched.
   *
   * @param totals rising
   * @param ownIndex the sum of own plates behind each
   * @param otherIndex the sum of other plates behind each
   * @param whole whether it has every total
   * @param leavesOut whether it may lack some, since there were more mixes than are looked at
   */
  private record Rungs(long[] totals, int[] ownIndex, int[] otherIndex, boolean whole, boolean leavesOut) {}

  /** Searches all the totals of a kit. */
  public static Loadables of(Kit kit) {
    MassUnit unit = kit.unit();
    boolean rounded = !Objects.requireNonNull(kit.fractional()).isEmpty();
    PlateStock every = kit.everyPlate();
    SideSums own = SideSums.of(ofUnit(every, unit, true));
    SideSums other = SideSums.of(ofUnit(every, unit, false));
    SideSums ownRound = rounded ? SideSums.of(ofUnit(kit.stock(), unit, true)) : own;
    SideSums otherRound = rounded ? SideSums.of(ofUnit(kit.stock(), unit, false)) : other;
    long empty = kit.empty().nanograms();
    if (otherRound.size() == 1) {
      long[] totals = new long[ownRound.size()];
      int[] ownIndex = new int[totals.length];
      for (int i = 0; i < totals.length; i++) {
        totals[i] = empty + 2 * ownRound.sum(i);
        ownIndex[i] = rounded ? own.indexOf(ownRound.sum(i)) : i;
      }
      return new Loadables(kit, true, own, other, new Rungs(totals, ownIndex, new int[totals.length], !rounded
          && other.size() == 1, false), List.of());
    }
    MixedLadder ladder = MixedLadder.of(ownRound, otherRound);
    List<MixedLadder.Mix> mixes = ladder.mixes();
    return new Loadables(kit, true, own, other, new Rungs(mixes.stream().mapToLong(mix -> empty + 2 * mix.side()).toArray(),
        mixes.stream().mapToInt(mix -> own.indexOf(ownRound.sum(mix.own()))).toArray(),
        mixes.stream().mapToInt(mix -> other.indexOf(otherRound.sum(mix.other()))).toArray(), false, ladder.leavesOut()), List.of());
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
    return fixed(masses, unit, List.of());
  }

  /**
   * The same where something else stands on some of them.
   *
   * @param stamps of those that weigh something else than stands on them
   */
  public static Loadables fixed(List<Mass> masses, MassUnit unit, List<PlaceKit.Stamp> stamps) {
    if (masses.isEmpty()) {
      throw new Refused("There must be at least one mass");
    }
    long[] totals = masses.stream().mapToLong(Mass::nanograms).distinct().sorted().toArray();
    Mass nothing = Mass.ofNanograms(0, unit);
    SideSums none = SideSums.of(List.of());
    return new Loadables(new Kit(nothing, nothing, new PlateStock(unit, List.of())), false, none, none,
        new Rungs(totals, new int[totals.length], new int[totals.length], true, false), stamps);
  }

  /** The kit that was searched; an empty one for things lifted as they are. */
  public Kit kit() {
    return kit;
  }

  /** The unit its totals are said in. */
  public MassUnit unit() {
    return kit.unit();
  }

  /** Whether the ladder may lack totals, since the plates mix in more ways than were looked at. */
  public boolean leavesOut() {
    return leavesOut;
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

  /** Whether a target lies under the bare bar or the lightest thing. */
  public boolean tooLight(Mass target) {
    return target.nanograms() + Mass.TOLERANCE_NANOGRAMS - 1 < totals[0];
  }

  /** Whether all that is here does not reach a target. */
  public boolean tooHeavy(Mass target) {
    long most = whole ? totals[totals.length - 1] : mixedTotal(own.size() - 1, other.size() - 1);
    return target.nanograms() > most + Mass.TOLERANCE_NANOGRAMS - 1;
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
    if (i >= 0 && target.nanograms() - totals[i] < Mass.TOLERANCE_NANOGRAMS) {
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

  /** What is meant by a load that somebody wrote: of a thing that is called by its stamp, what it truly weighs. */
  public Mass meant(Mass written) {
    return stamps.stream().filter(stamp -> stamp.stamped().hits(written)).map(stamp -> stamp.trueMass().shownIn(unit())).findFirst()
        .orElse(written);
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

  private int indexNearest(Mass target) {
    return indexNearest(target.nanograms());
  }

  private int indexNearest(long target) {
    int lower = indexBelow(target);
    if (lower < 0) {
      return 0;
    }
    if (lower + 1 == totals.length) {
      return lower;
    }
    long down = target - totals[lower];
    long up = totals[lower + 1] - target;
    return down < up + Mass.TOLERANCE_NANOGRAMS ? lower : lower + 1;
  }

  /** The last index whose total is not a gram or more above the target; −1 when there is none. */
  private int indexBelow(Mass target) {
    return indexBelow(target.nanograms());
  }

  private int indexBelow(long target) {
    long limit = target + Mass.TOLERANCE_NANOGRAMS - 1;
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

  // Loadings are immutable, so that two threads may both find one; the table fills as it is asked.
  private Loading loading(int index) {
    Loading found = loadings.get(index);
    if (found == null) {
      found = otherIndex[index] == 0
          ? new Loading(Mass.ofNanograms(totals[index], unit()), own.plates(ownIndex[index]))
          : mix(ownIndex[index], otherIndex[index]);
      loadings.set(index, found);
    }
    return found;
  }

  /** The ways to load what a loading loads, itself first; those of the ladder are looked for once. */
  PlateSeries.Way[] ways(Loading fewest) {
    int rung = Arrays.binarySearch(totals, fewest.total().nanograms());
    if (rung < 0 || !loading(rung).perSide().equals(fewest.perSide())) {
      return PlateSeries.ways(fewest, kit.everyPlate());
    }
    PlateSeries.Way[] found = ways.get(rung);
    if (found == null) {
      found = PlateSeries.ways(loading(rung), kit.everyPlate());
      ways.set(rung, found);
    }
    return found;
  }

  /** How many totals the ladder has. */
  public int rungs() {
    return totals.length;
  }

  /** The rung nearest a target. */
  public int rungNear(long nanograms) {
    return indexNearest(nanograms);
  }

  /** The total of a rung, in nanograms; rising. */
  public long totalAt(int rung) {
    return totals[rung];
  }

  /** How many plates a side a rung takes. */
  public int platesAt(int rung) {
    return own.count(ownIndex[rung]) + other.count(otherIndex[rung]);
  }

  /** The loading of a rung. */
  public Loading at(int rung) {
    return loading(rung);
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
