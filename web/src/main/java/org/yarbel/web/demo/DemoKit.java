package org.yarbel.web.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.yarbel.core.kit.Band;
import org.yarbel.core.kit.Bar;
import org.yarbel.core.kit.Chain;
import org.yarbel.core.kit.Dumbbell;
import org.yarbel.core.kit.Implement;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Equipment;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** What the places of the demo own. All of it is invented. */
final class DemoKit {
  private DemoKit() {}

  /** The main hall, in kilograms, with the yard's implements. */
  static PlaceKit hall(LocalDate today) {
    List<PlateStock.Pairs> plates = new ArrayList<>(PlateStock.standard(MassUnit.KG).plates());
    plates.add(new PlateStock.Pairs(kg("0.5"), 1));
    return new PlaceKit(MassUnit.KG,
        List.of(
            new Bar("Bar", kg("20"), List.of(), true, true),
            new Bar("Safety-squat bar", kg("28"), List.of("safety-bar-squat"), false, true),
            new Bar("Cambered bar", kg("38.5"), List.of("cambered-bar-squat", "cambered-bar-bench"), false, false),
            new Bar("Multi-grip bar", kg("17.5"), List.of("multi-grip-bench"), true, true),
            new Bar("Trap bar", kg("27.5"), List.of("trap-bar-deadlift"), false, false),
            new Bar("Rusty bar for the pins", kg("19.5"), List.of("pin-press", "pin-squat", "pin-pull-below-knee"), true, true)),
        kg("0"), plates, false, dumbbells("10", "15", "20", "25", "30", "35", "40"),
        List.of(band("Thin, left", "plain black", today.minusMonths(8), "40:0", "60:6", "90:12", "120:17"),
            band("Thin, right", "plain black", today.minusMonths(8), "40:0", "60:6.2", "90:12.3", "120:17.2"),
            band("Broad, left", "plain black", today.minusMonths(8), "40:0", "60:14", "90:26", "120:36"),
            band("Broad, right, bought later", "plain black", today.minusMonths(1), "40:0", "60:17", "90:31", "120:42")),
        List.of(new Chain("Anchor chain", kg("9"), kg("1.5")), new Chain("Gate chain", kg("5.5"), kg("1"))),
        List.of(
            loadable(Equipment.LOG, "Log, 25 cm", "42"), loadable(Equipment.AXLE, "Axle", "14"),
            loadable(Equipment.YOKE, "Yoke", "92"), loadable(Equipment.FRAME, "Carry frame", "58"),
            loadable(Equipment.FARMERS_HANDLES, "Farmers handles", "11"), loadable(Equipment.SLEDGE, "Sledge", "33"),
            fixed(Equipment.STONE, "80"), fixed(Equipment.STONE, "100"), fixed(Equipment.STONE, "115"),
            fixed(Equipment.STONE, "130"), fixed(Equipment.KEG, "60"), fixed(Equipment.KEG, "85"),
            fixed(Equipment.SANDBAG, "70"), fixed(Equipment.SANDBAG, "90"), fixed(Equipment.TYRE, "240")));
  }

  /** The old loft, in pounds, with a few kilogram plates that stay off a pound bar. */
  static PlaceKit loft() {
    List<PlateStock.Pairs> plates = new ArrayList<>(PlateStock.standard(MassUnit.LB).plates());
    plates.add(new PlateStock.Pairs(kg("20"), 2));
    plates.add(new PlateStock.Pairs(kg("10"), 1));
    return new PlaceKit(MassUnit.LB, List.of(new Bar("Bar", Mass.of("45", MassUnit.LB), List.of(), true, true)),
        Mass.of("0", MassUnit.LB), plates, false,
        List.of(new Dumbbell(Mass.of("0", MassUnit.LB), Mass.of("6", MassUnit.LB), true)), List.of(), List.of(), List.of());
  }

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  // the stamp leaves out the handle of 2.2 kg
  private static List<Dumbbell> dumbbells(String... stamps) {
    return Arrays.stream(stamps).map(stamp -> new Dumbbell(kg(stamp), kg(stamp).plus(kg("2.2")), false)).toList();
  }

  private static Band band(String name, String make, LocalDate since, String... pulls) {
    return new Band(name, make, since, Arrays.stream(pulls).map(pull -> pull.split(":"))
        .map(pull -> new Band.Pull(Integer.parseInt(pull[0]), kg(pull[1]))).toList());
  }

  private static Implement loadable(Equipment kind, String name, String empty) {
    return new Implement(kind, name, kg(empty), true);
  }

  private static Implement fixed(Equipment kind, String mass) {
    return new Implement(kind, kind.word().substring(0, 1).toUpperCase(Locale.ROOT) + kind.word().substring(1), kg(mass), false);
  }
}
