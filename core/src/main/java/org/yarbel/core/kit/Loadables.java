package org.yarbel.core.kit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * Every total that a kit can load, and for each the loading with the fewest plates (of equally few, the heavier first
 * plate).
 *
 * <p>The stock is limited, so taking the heaviest plate that fits is wrong; the table is searched completely once, by
 * dynamic programming over the sums of one side, and then answers each question by a look-up. Immutable: build it once
 * for a kit and keep it. Sides over 520 kg are left out.
 */
public final class Loadables {
  private static final long MAX_SIDE = Mass.of("520", MassUnit.KG).nanograms();
  private static final int UNREACHED = Integer.MAX_VALUE / 2;

  private final Kit kit;
  private final long step;
  /** For each plate size, lightest first, and each sum of one side in steps: how many of that size it takes. */
  private final byte[][] taken;
  /** The sums of one side that can be loaded, in steps, rising. */
  private final int[] sides;

  private Loadables(Kit kit, long step, byte[][] taken, int[] sides) {
    this.kit = kit;
    this.step = step;
    this.taken = taken;
    this.sides = sides;
  }

  /** Searches all the totals of a kit. */
  public static Loadables of(Kit kit) {
    List<PlateStock.Pairs> plates = kit.stock().plates();
    long step = 0;
    long sum = 0;
    for (PlateStock.Pairs pairs : plates) {
      step = gcd(pairs.size().nanograms(), step);
      sum += pairs.size().nanograms() * pairs.pairs();
    }
    if (plates.isEmpty()) {
      return new Loadables(kit, 1, new byte[0][], new int[] {0});
    }
    int states = Math.toIntExact(Math.min(sum, MAX_SIDE) / step) + 1;
    int[] fewest = new int[states];
    Arrays.fill(fewest, UNREACHED);
    fewest[0] = 0;
    byte[][] taken = new byte[plates.size()][];
    for (int i = 0; i < plates.size(); i++) {
      PlateStock.Pairs pairs = plates.get(plates.size() - 1 - i);
      taken[i] = new byte[states];
      fewest = withSize(fewest, (int) (pairs.size().nanograms() / step), pairs.pairs(), taken[i]);
    }
    int[] counts = fewest;
    int[] sides = java.util.stream.IntStream.range(0, states).filter(s -> counts[s] < UNREACHED).toArray();
    return new Loadables(kit, step, taken, sides);
  }

  // Sizes come lightest first, so of equally few plates the choice with more of this size has the heavier first plate.
  private static int[] withSize(int[] fewest, int size, int pairs, byte[] taken) {
    int[] next = fewest.clone();
    for (int sum = size; sum < next.length; sum++) {
      for (int n = 1; n <= pairs && n * size <= sum; n++) {
        int count = fewest[sum - n * size] + n;
        if (count < UNREACHED && count <= next[sum]) {
          next[sum] = count;
          taken[sum] = (byte) n;
        }
      }
    }
    return next;
  }

  public Kit kit() {
    return kit;
  }

  /** The bare bar with its collars. */
  public Loading lightest() {
    return loading(0);
  }

  /** All plates on, or the heaviest under the limit. */
  public Loading heaviest() {
    return loading(sides.length - 1);
  }

  /** The loading that hits the target, within a gram. */
  public Optional<Loading> exact(Mass target) {
    Loading nearest = nearest(target);
    return nearest.total().hits(target) ? Optional.of(nearest) : Optional.empty();
  }

  /** The heaviest loading not above the target (within a gram); empty when the bar alone is above it. */
  public Optional<Loading> below(Mass target) {
    int i = indexBelow(target);
    return i < 0 ? Optional.empty() : Optional.of(loading(i));
  }

  /** The lightest loading not below the target (within a gram); empty when all the plates are below it. */
  public Optional<Loading> above(Mass target) {
    int i = indexBelow(target);
    if (i >= 0 && loading(i).total().hits(target)) {
      return Optional.of(loading(i));
    }
    return i + 1 < sides.length ? Optional.of(loading(i + 1)) : Optional.empty();
  }

  /** The nearest loading, the lower of two equally near (within a gram); the lightest or heaviest beyond the ends. */
  public Loading nearest(Mass target) {
    return loading(indexNearest(target));
  }

  /** The heaviest loading not above the target, for sets where a miss costs the set; the bare bar when it is above. */
  public Loading nearestBelow(Mass target) {
    return loading(Math.max(indexBelow(target), 0));
  }

  /** Every loading from one total to another, rising, both ends included. */
  public List<Loading> between(Mass from, Mass to) {
    List<Loading> found = new ArrayList<>();
    for (int i = Math.max(indexBelow(from), 0); i < sides.length && total(i) <= to.nanograms(); i++) {
      if (total(i) >= from.nanograms()) {
        found.add(loading(i));
      }
    }
    return found;
  }

  private int indexNearest(Mass target) {
    int lower = indexBelow(target);
    if (lower < 0) {
      return 0;
    }
    if (lower + 1 == sides.length) {
      return lower;
    }
    long down = target.nanograms() - total(lower);
    long up = total(lower + 1) - target.nanograms();
    return down < up + Mass.TOLERANCE_NANOGRAMS ? lower : lower + 1;
  }

  /** The last index whose total is not a gram or more above the target; −1 when there is none. */
  private int indexBelow(Mass target) {
    long limit = target.nanograms() + Mass.TOLERANCE_NANOGRAMS - 1;
    int low = 0;
    int high = sides.length;
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (total(middle) <= limit) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low - 1;
  }

  private long total(int index) {
    return kit.empty().nanograms() + 2 * step * sides[index];
  }

  private Loading loading(int index) {
    MassUnit unit = kit.unit();
    List<Mass> perSide = new ArrayList<>();
    int left = sides[index];
    for (int i = taken.length - 1; i >= 0; i--) {
      Mass size = kit.stock().plates().get(taken.length - 1 - i).size();
      for (int n = taken[i][left]; n > 0; n--) {
        perSide.add(size);
      }
      left -= (int) (size.nanograms() / step) * taken[i][left];
    }
    return new Loading(Mass.ofNanograms(total(index), unit), perSide);
  }

  private static long gcd(long a, long b) {
    return b == 0 ? a : gcd(b, a % b);
  }
}
