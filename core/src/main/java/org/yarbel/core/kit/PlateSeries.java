package org.yarbel.core.kit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.yarbel.core.mass.Mass;

/**
 * How to load a bar for one load after another with the fewest plates coming off and going on.
 *
 * <p>Plates stand on a sleeve heaviest inside (common practice, no source), so to reach one the lighter ones outside of
 * it come off first. Of equally few changes it takes fewer plates in all. Each load may take up to
 * {@value #MORE_PLATES} plates a side more than its fewest; of stocks with very many ways only the first are looked at.
 */
public final class PlateSeries {
  private static final int MORE_PLATES = 2;
  private static final int MOST_WAYS = 11;
  private static final int MOST_LOOKS = 4_000;

  private PlateSeries() {}

  /**
   * The loadings of these loads, in order; a load that does not load gets the nearest that does.
   *
   * @param loads as many as a session has
   */
  public static List<Loading> of(List<Mass> loads, Loadables loadables) {
    List<Way[]> ways = new ArrayList<>(loads.size());
    for (Mass load : loads) {
      ways.add(loadables.ways(loadables.written(load)));
    }
    return loads.isEmpty() ? List.of() : fewestChanges(ways);
  }

  /**
   * The same steps towards a last loading that stays as it is.
   *
   * @param firstStays whether the first step stays as it is too, such as the full-size plates of a pull
   */
  public static List<Loading> upTo(List<Loading> steps, Loading last, boolean firstStays, Loadables loadables) {
    List<Way[]> ways = new ArrayList<>(steps.size() + 1);
    for (Loading step : steps) {
      Way[] all = loadables.ways(step);
      ways.add(firstStays && ways.isEmpty() ? new Way[] {all[0]} : all);
    }
    ways.add(new Way[] {loadables.ways(last)[0]});
    List<Loading> all = fewestChanges(ways);
    return all.subList(0, all.size() - 1);
  }

  /**
   * One way to load a total.
   *
   * @param sizes the places of its plates in the stock, heaviest first: what is compared a thousand times
   */
  record Way(Loading loading, byte[] sizes) {
    private static Way of(Loading loading, List<PlateStock.Pairs> stock) {
      byte[] sizes = new byte[loading.perSide().size()];
      for (int i = 0; i < sizes.length; i++) {
        int size = 0;
        while (!stock.get(size).size().equals(loading.perSide().get(i))) {
          size++;
        }
        sizes[i] = (byte) size;
      }
      return new Way(loading, sizes);
    }

    int changesFrom(byte[] before) {
      int same = 0;
      while (same < before.length && same < sizes.length && before[same] == sizes[same]) {
        same++;
      }
      return before.length + sizes.length - 2 * same;
    }
  }

  /** How many plates come off and go on, on one side, from one loading to the next. */
  public static int changes(List<Mass> from, List<Mass> to) {
    int same = 0;
    while (same < from.size() && same < to.size() && from.get(same).equals(to.get(same))) {
      same++;
    }
    return from.size() + to.size() - 2 * same;
  }

  /** All changes of a series, the bare bar before it. */
  public static int changes(List<Loading> series) {
    int changes = 0;
    List<Mass> on = List.of();
    for (Loading loading : series) {
      changes += changes(on, loading.perSide());
      on = loading.perSide();
    }
    return changes;
  }

  private static List<Loading> fewestChanges(List<Way[]> ways) {
    int[][] from = new int[ways.size()][];
    long[] cost = new long[1];
    Way[] before = {new Way(ways.get(0)[0].loading(), new byte[0])};
    for (int step = 0; step < ways.size(); step++) {
      Way[] here = ways.get(step);
      long[] known = cost;
      cost = new long[here.length];
      from[step] = new int[here.length];
      for (int to = 0; to < here.length; to++) {
        cost[to] = Long.MAX_VALUE;
        for (int i = 0; i < before.length; i++) {
          // a change weighs more than all the plates of a series
          long sum = known[i] + 10_000L * here[to].changesFrom(before[i].sizes()) + here[to].sizes().length;
          if (sum < cost[to]) {
            cost[to] = sum;
            from[step][to] = i;
          }
        }
      }
      before = here;
    }
    int at = 0;
    for (int i = 1; i < cost.length; i++) {
      at = cost[i] < cost[at] ? i : at;
    }
    Loading[] best = new Loading[ways.size()];
    for (int step = ways.size() - 1; step >= 0; step--) {
      best[step] = ways.get(step)[at].loading();
      at = from[step][at];
    }
    return List.of(best);
  }

  /** The ways to load one total, the fewest plates first; at most a few plates more. */
  static Way[] ways(Loading fewest, PlateStock stock) {
    if (fewest.perSide().isEmpty()) {
      return new Way[] {Way.of(fewest, stock.plates())};
    }
    long side = fewest.perSide().stream().mapToLong(Mass::nanograms).sum();
    Search search = new Search(stock.plates());
    search.from(0, side, fewest.perSide().size() + MORE_PLATES);
    List<Way> ways = new ArrayList<>();
    ways.add(Way.of(fewest, stock.plates()));
    search.found.stream().filter(plates -> !plates.equals(fewest.perSide()))
        .sorted(Comparator.comparingInt(List::size))
        .limit(MOST_WAYS)
        .forEach(plates -> ways.add(Way.of(new Loading(fewest.total(), plates), stock.plates())));
    return ways.toArray(Way[]::new);
  }

  /** Looks for the plates that make one side, the heaviest first. */
  private static final class Search {
    private final List<PlateStock.Pairs> sizes;
    private final List<Mass> on = new ArrayList<>();
    private final List<List<Mass>> found = new ArrayList<>();
    private int looks;

    Search(List<PlateStock.Pairs> sizes) {
      this.sizes = sizes;
    }

    void from(int i, long left, int plates) {
      if (left == 0) {
        found.add(List.copyOf(on));
        return;
      }
      if (i == sizes.size() || plates == 0 || left > plates * sizes.get(i).size().nanograms() || ++looks > MOST_LOOKS) {
        return;
      }
      Mass size = sizes.get(i).size();
      int most = (int) Math.min(Math.min(sizes.get(i).pairs(), plates), left / size.nanograms());
      for (int n = 0; n < most; n++) {
        on.add(size);
      }
      for (int n = most; n >= 0; n--) {
        from(i + 1, left - n * size.nanograms(), plates - n);
        if (n > 0) {
          on.remove(on.size() - 1);
        }
      }
    }
  }
}
