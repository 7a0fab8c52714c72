package org.yarbel.web.kitroom;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.kit.Band;
import org.yarbel.core.kit.Bar;
import org.yarbel.core.kit.Chain;
import org.yarbel.core.kit.Dumbbell;
import org.yarbel.core.kit.Implement;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Equipment;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.form.Typed;

/**
 * A place's kit as fields of one form and back: {@code bar.0.name}. A row without its first field is no row, so that
 * emptying it takes a thing out; a new row must not lose what was typed further on in it.
 */
final class KitForm {
  private static final int MOST_ROWS = 80;

  /** What besides the first field makes a new row. */
  private static final Map<String, String> TELLING = Map.of("bar", "mass", "kg", "pairs", "lb", "pairs", "dumbbell", "true",
      "band", "pulls", "chain", "mass", "thing", "mass");

  private final Typed typed;
  private final Map<String, Integer> stored;
  private final Catalogue lifts;
  private final LocalDate today;

  /** @param before the fields of the kit as it is stored */
  KitForm(Typed typed, Map<String, String> before, Catalogue lifts, LocalDate today) {
    this.typed = typed;
    this.stored = TELLING.keySet().stream().collect(Collectors.toMap(kind -> kind, kind -> rows(before, kind)));
    this.lifts = lifts;
    this.today = today;
  }

  /** How many rows of a kind the fields have. */
  static int rows(Map<String, String> fields, String kind) {
    return fields.keySet().stream().filter(name -> name.startsWith(kind + "."))
        .map(name -> name.substring(kind.length() + 1).replaceAll("\\..*", ""))
        .filter(index -> index.matches("\\d{1,3}")).mapToInt(Integer::parseInt).max().orElse(-1) + 1;
  }

  String name(List<String> taken) {
    String name = typed.name("name", "the name of the place", 80);
    if (taken.stream().anyMatch(name::equalsIgnoreCase)) {
      typed.wrong("name", "There is a place of that name already.");
    }
    return name;
  }

  /** The kit; null when something cannot be. */
  @Nullable PlaceKit kit() {
    MassUnit unit = typed.unit("unit");
    Mass collars = typed.massFromZero("collars", unit);
    if (collars != null && collars.compareTo(Mass.of("20", MassUnit.KG)) > 0) {
      typed.wrong("collars", "Both collars together weigh at most 20 kg but " + collars.text() + " was typed.");
    }
    List<Bar> bars = all("bar", "name", this::bar);
    List<PlateStock.Pairs> plates = new ArrayList<>(plates("kg", MassUnit.KG));
    plates.addAll(plates("lb", MassUnit.LB));
    List<Dumbbell> dumbbells = all("dumbbell", "stamped", this::dumbbell);
    List<Band> bands = all("band", "name", this::band);
    List<Chain> chains = all("chain", "name", this::chain);
    List<Implement> strongman = all("thing", "name", this::implement);
    boolean plateLoaded = !bars.isEmpty() || strongman.stream().anyMatch(Implement::plateLoaded);
    if (plateLoaded && plates.isEmpty() && typed.fine()) {
      typed.wrong("kg.0.size", "There are bars but no plates, so nothing but the empty bar loads. Write one size at least.");
    }
    if (!typed.fine()) {
      return null;
    }
    return new PlaceKit(unit, bars, collars == null ? Mass.ofNanograms(0, unit) : collars, plates, typed.ticked("mixing"),
        dumbbells, bands, chains, strongman);
  }

  private <T> List<T> all(String kind, String first, IntFunction<Optional<T>> read) {
    List<T> found = new ArrayList<>();
    int rows = rows(typed.fields(), kind);
    if (rows > MOST_ROWS) {
      typed.wrong(kind + ".0." + first, "At most " + MOST_ROWS + " rows of a kind can be kept.");
      return found;
    }
    for (int i = 0; i < rows; i++) {
      String row = kind + "." + i + ".";
      if (!typed.empty(row + first)) {
        read.apply(i).ifPresent(found::add);
      } else if (i >= stored.getOrDefault(kind, 0) && !typed.empty(row + TELLING.get(kind))) {
        typed.wrong(row + first, "Fill in the first field too, or empty the row.");
      }
    }
    return found;
  }

  /** Makes a thing; what the core refuses stands beside the row's field. */
  private <T> Optional<T> made(String field, java.util.function.Supplier<T> make) {
    try {
      return Optional.of(make.get());
    } catch (Refused refused) {
      typed.wrong(field, refused);
      return Optional.empty();
    }
  }

  private @Nullable Mass mass(String field, String unitField, boolean fromZero) {
    MassUnit unit = typed.unit(unitField);
    if (typed.empty(field)) {
      typed.wrong(field, "Write the mass.");
    }
    return fromZero ? typed.massFromZero(field, unit) : typed.mass(field, unit);
  }

  private Optional<Bar> bar(int i) {
    String row = "bar." + i;
    Mass mass = mass(row + ".mass", row + ".unit", false);
    List<String> keys = new ArrayList<>();
    for (String one : typed.text(row + ".lifts").split("[,;]")) {
      Optional<Lift> lift = lifts.named(one);
      lift.map(Lift::key).ifPresent(keys::add);
      if (lift.isEmpty() && !one.isBlank()) {
        typed.wrong(row + ".lifts", lifts.unknown(one));
        return Optional.empty();
      }
    }
    return mass == null ? Optional.empty() : made(row + ".mass", () -> new Bar(typed.text(row + ".name"), mass, keys,
        typed.ticked(row + ".pins"), typed.ticked(row + ".safeties")));
  }

  private List<PlateStock.Pairs> plates(String kind, MassUnit unit) {
    Set<Mass> seen = new HashSet<>();
    List<PlateStock.Pairs> found = all(kind, "size", i -> {
      Mass size = typed.mass(kind + "." + i + ".size", unit);
      Integer pairs = typed.whole(kind + "." + i + ".pairs", "The pairs", 1, PlateStock.MAX_PAIRS);
      if (typed.empty(kind + "." + i + ".pairs")) {
        typed.wrong(kind + "." + i + ".pairs", "Write how many pairs.");
      }
      if (size != null && !seen.add(size)) {
        typed.wrong(kind + "." + i + ".size", "The size " + size.text() + " stands above already: write all its pairs there.");
        return Optional.empty();
      }
      return size == null || pairs == null ? Optional.empty() : made(kind + "." + i + ".size", () -> new PlateStock.Pairs(size, pairs));
    });
    if (found.size() > PlateStock.MAX_SIZES) {
      typed.wrong(kind + ".0.size", "At most 16 sizes of a unit can be kept, but there are " + found.size() + ".");
    }
    return found;
  }

  private Optional<Dumbbell> dumbbell(int i) {
    String row = "dumbbell." + i;
    Mass stamped = mass(row + ".stamped", row + ".unit", true);
    Mass truth = typed.empty(row + ".true") ? stamped : typed.massFromZero(row + ".true", typed.unit(row + ".unit"));
    return stamped == null || truth == null ? Optional.empty()
        : made(row + ".true", () -> new Dumbbell(stamped, truth, typed.ticked(row + ".loadable")));
  }

  private Optional<Band> band(int i) {
    String row = "band." + i;
    LocalDate since = typed.past(row + ".since", today);
    return made(row + ".pulls", () -> new Band(typed.text(row + ".name"), typed.text(row + ".make"), since,
        Band.pulls(typed.text(row + ".pulls"), typed.unit(row + ".unit"))));
  }

  private Optional<Chain> chain(int i) {
    String row = "chain." + i;
    Mass mass = mass(row + ".mass", row + ".unit", false);
    Mass slack = typed.empty(row + ".slack") ? Mass.ofNanograms(0, typed.unit(row + ".unit"))
        : typed.massFromZero(row + ".slack", typed.unit(row + ".unit"));
    return mass == null || slack == null ? Optional.empty() : made(row + ".slack", () -> new Chain(typed.text(row + ".name"), mass, slack));
  }

  private Optional<Implement> implement(int i) {
    String row = "thing." + i;
    Mass mass = mass(row + ".mass", row + ".unit", false);
    Optional<Equipment> kind = typed.choice(row + ".kind", Equipment.class).filter(Equipment::implement);
    if (kind.isEmpty()) {
      typed.wrong(row + ".kind", "Choose what it is.");
    }
    return mass == null || kind.isEmpty() ? Optional.empty()
        : made(row + ".mass", () -> new Implement(kind.get(), typed.text(row + ".name"), mass, typed.ticked(row + ".plates")));
  }

  /** The fields of a stored kit. */
  static Map<String, String> fields(String name, PlaceKit kit) {
    Map<String, String> fields = new HashMap<>();
    fields.put("name", name);
    fields.put("unit", kit.unit().name());
    fields.put("collars", kit.collars().shownIn(kit.unit()).number());
    fields.put("mixing", kit.mixing() ? "yes" : "");
    for (int i = 0; i < kit.bars().size(); i++) {
      Bar bar = kit.bars().get(i);
      put(fields, "bar." + i, "name", bar.name(), "lifts", String.join(", ", bar.lifts()), "pins", tick(bar.pinsAllowed()),
          "safeties", tick(bar.fitsSafeties()));
      put(fields, "bar." + i, "mass", bar.mass());
    }
    for (MassUnit unit : MassUnit.values()) {
      List<PlateStock.Pairs> own = kit.plates().stream().filter(p -> p.size().unit() == unit).toList();
      for (int i = 0; i < own.size(); i++) {
        put(fields, unit.symbol() + "." + i, "size", own.get(i).size().number(), "pairs", Integer.toString(own.get(i).pairs()));
      }
    }
    for (int i = 0; i < kit.dumbbells().size(); i++) {
      Dumbbell dumbbell = kit.dumbbells().get(i);
      put(fields, "dumbbell." + i, "stamped", dumbbell.stamped());
      put(fields, "dumbbell." + i, "true", dumbbell.trueMass().number(), "loadable", tick(dumbbell.loadable()));
    }
    for (int i = 0; i < kit.bands().size(); i++) {
      Band band = kit.bands().get(i);
      put(fields, "band." + i, "name", band.name(), "make", band.make(), "since", Objects.toString(band.since(), ""),
          "pulls", band.pullsText(),
          "unit", band.pulls().get(0).mass().unit().name());
    }
    for (int i = 0; i < kit.chains().size(); i++) {
      Chain chain = kit.chains().get(i);
      put(fields, "chain." + i, "name", chain.name(), "slack", chain.slack().number());
      put(fields, "chain." + i, "mass", chain.mass());
    }
    for (int i = 0; i < kit.strongman().size(); i++) {
      Implement thing = kit.strongman().get(i);
      put(fields, "thing." + i, "kind", thing.kind().name(), "name", thing.name(), "plates", tick(thing.plateLoaded()));
      put(fields, "thing." + i, "mass", thing.empty());
    }
    return fields;
  }

  private static void put(Map<String, String> fields, String row, String... pairs) {
    for (int i = 0; i < pairs.length; i += 2) {
      fields.put(row + "." + pairs[i], pairs[i + 1]);
    }
  }

  private static void put(Map<String, String> fields, String row, String field, Mass mass) {
    put(fields, row, field, mass.number(), "unit", mass.unit().name());
  }

  private static String tick(boolean on) {
    return on ? "yes" : "";
  }
}
