package org.yarbel.web.kitroom;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.kit.Bar;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.club.Place;
import org.yarbel.web.club.Places;
import org.yarbel.web.form.Typed;
import org.yarbel.web.skyline.PlatePicture;

/**
 * A place's kit as the page shows it.
 *
 * @param counts how many rows each kind has, empty ones to write into included
 * @param bars what each bar loads, in words
 * @param cautions what does not fit together
 */
record KitView(long id, int version, String name, Map<String, String> fields, Map<String, String> errors,
    Map<String, Integer> counts, List<String> bars, List<PlatePicture> stock, List<String> cautions) {
  private static final List<String> KINDS = List.of("bar", "kg", "lb", "dumbbell", "band", "chain", "thing");
  private static final int EMPTY_ROWS = 2;

  static KitView of(Place place, Places places) {
    PlaceKit kit = places.kit(place);
    Map<String, String> fields = KitForm.fields(place.name(), kit);
    return new KitView(place.id(), place.version(), place.name(), fields, Map.of(), counts(fields), bars(kit, places),
        stock(kit), cautions(kit, places));
  }

  /** The same with what was typed and what is wrong with it. */
  KitView typed(Typed typed) {
    return new KitView(id, version, name, new HashMap<>(typed.fields()), typed.errors(), counts(typed.fields()), bars, stock, cautions);
  }

  private static Map<String, Integer> counts(Map<String, String> fields) {
    Map<String, Integer> counts = new HashMap<>();
    KINDS.forEach(kind -> counts.put(kind, filled(fields, kind) + EMPTY_ROWS));
    return counts;
  }

  /** Rows up to the last with something in it. */
  private static int filled(Map<String, String> fields, String kind) {
    int rows = KitForm.rows(fields, kind);
    while (rows > 0) {
      String row = kind + "." + (rows - 1) + ".";
      boolean something = fields.entrySet().stream().anyMatch(f -> f.getKey().startsWith(row) && !f.getValue().isBlank()
          && !f.getKey().endsWith(".unit") && !f.getKey().endsWith(".kind"));
      if (something) {
        return rows;
      }
      rows--;
    }
    return 0;
  }

  private static List<String> bars(PlaceKit kit, Places places) {
    List<String> bars = new ArrayList<>();
    for (Bar bar : kit.bars()) {
      Kit loaded = new Kit(bar.mass(), kit.collars(), kit.stock(kit.unit()));
      Loadables loadables = places.loadables(loaded);
      Loading lightest = loadables.lightest();
      bars.add(lightest.total().text() + " to " + loadables.heaviest().total().text());
    }
    return bars;
  }

  /** Every size once, drawn to scale. */
  private static List<PlatePicture> stock(PlaceKit kit) {
    List<PlatePicture> pictures = new ArrayList<>();
    for (MassUnit unit : MassUnit.values()) {
      List<Mass> sizes = kit.plates().stream().map(p -> p.size()).filter(size -> size.unit() == unit).toList();
      if (!sizes.isEmpty()) {
        pictures.add(PlatePicture.of(sizes, unit));
      }
    }
    return pictures;
  }

  private static List<String> cautions(PlaceKit kit, Places places) {
    List<String> cautions = new ArrayList<>(kit.bandsWithoutPartner().stream()
        .map(why -> why + ". A pair on one bar must match, or the bar tilts.").toList());
    kit.plates().stream().filter(PlaceKit::fractional).findFirst().ifPresent(plate -> cautions.add(
        "Plates under " + PlaceKit.FRACTIONAL_UNDER.text() + " are not rounded by: they go on where a load is written that needs them."));
    if (kit.bars().stream().anyMatch(bar -> places.loadables(new Kit(bar.mass(), kit.collars(), kit.stock(kit.unit()))).leavesOut())) {
      cautions.add("These plates mix in very many ways: loads are planned with the mixes of the fewest plates, and some that "
          + "need more plates are left out. "
          + "A load that is written is still put together exactly where it can be.");
    }
    return cautions;
  }

  public int count(String kind) {
    return counts.getOrDefault(kind, EMPTY_ROWS);
  }

  public String value(String field) {
    return fields.getOrDefault(field, "");
  }

  public String error(String field) {
    return errors.getOrDefault(field, "");
  }

  /** The first thing that is wrong in a row; empty for nothing. */
  public String rowError(String row) {
    return errors.entrySet().stream().filter(e -> e.getKey().startsWith(row + ".")).map(Map.Entry::getValue).findFirst().orElse("");
  }

  public @Nullable String invalid(String field) {
    return errors.containsKey(field) ? "true" : null;
  }
}
