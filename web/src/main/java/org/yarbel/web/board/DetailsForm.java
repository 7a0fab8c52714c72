package org.yarbel.web.board;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.HandRamp;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.plan.Details;

/**
 * What was typed of a line beside its work.
 *
 * @param details whether the form had these fields at all
 * @param gear {@code usual}, {@code none} or {@code these}
 * @param pieces the gear that is worn, where {@code gear} says these
 */
record DetailsForm(@Nullable String details, @Nullable String optional, @Nullable String bar, @Nullable String gear,
    @Nullable List<String> pieces, @Nullable String gearFrom, @Nullable String reason, @Nullable String cues,
    @Nullable String mind, @Nullable String ramp, @Nullable String agreed) {
  private static final int SHORT = 200;
  private static final int LONG = 300;

  /** What it comes to, or what is wrong with each field. */
  record CheckedDetails(Optional<Details> details, Map<String, String> errors) {}

  boolean present() {
    return details != null;
  }

  CheckedDetails check(MassUnit unit) {
    Map<String, String> errors = new LinkedHashMap<>();
    Mass from = gearFrom(unit, errors);
    String written = ramp(unit, errors);
    String why = text("reason", reason, SHORT, errors);
    String think = text("cues", cues, LONG, errors);
    String care = text("mind", mind, LONG, errors);
    String worn = worn(errors);
    if (!errors.isEmpty()) {
      return new CheckedDetails(Optional.empty(), errors);
    }
    boolean none = Details.NO_GEAR.equals(worn);
    return new CheckedDetails(Optional.of(new Details(optional != null, text("bar", bar, 80, errors), worn,
        from == null || none ? null : from.nanograms(), from == null || none ? null : from.unit(), why, think, care, written,
        agreed != null)), errors);
  }

  /** As it stands in the fields of a stored line. */
  static DetailsForm of(Details details) {
    Mass from = details.gearFrom();
    String said = Details.NO_GEAR.equals(details.gear()) ? "none" : "these";
    String mode = details.gear() == null ? "usual" : said;
    return new DetailsForm("1", details.optional() ? "1" : null, details.bar(), mode,
        details.pieces().stream().map(Gear::name).toList(), from == null ? null : from.number(), details.reason(), details.cues(),
        details.mind(), details.ramp(), details.agreed() ? "1" : null);
  }

  public boolean wears(String piece) {
    return pieces != null && pieces.contains(piece);
  }

  private @Nullable String worn(Map<String, String> errors) {
    if ("none".equals(gear)) {
      return Details.NO_GEAR;
    }
    if (!"these".equals(gear)) {
      return null;
    }
    List<String> known = new ArrayList<>();
    for (Gear piece : Gear.values()) {
      if (wears(piece.name())) {
        known.add(piece.name());
      }
    }
    if (known.isEmpty()) {
      errors.put("pieces", "Tick what is worn, or choose none or the usual.");
    }
    return known.isEmpty() ? null : known.stream().collect(Collectors.joining(","));
  }

  private @Nullable Mass gearFrom(MassUnit unit, Map<String, String> errors) {
    String typed = gearFrom == null ? "" : gearFrom.strip().replace(',', '.');
    if (typed.isEmpty()) {
      return null;
    }
    boolean number = typed.matches("\\d{1,4}(\\.\\d{1,2})?");
    Mass mass = number ? Mass.of(typed, unit) : null;
    if (mass == null || mass.isZero() || mass.compareTo(Mass.of("1000", MassUnit.KG)) > 0) {
      errors.put("gearFrom", "Write the load as a number over 0 and up to 1000 kg, such as 140.");
      return null;
    }
    return mass;
  }

  private @Nullable String ramp(MassUnit unit, Map<String, String> errors) {
    if (ramp == null || ramp.isBlank()) {
      return null;
    }
    try {
      return HandRamp.parse(ramp, unit).toString();
    } catch (Refused wrong) {
      errors.put("ramp", wrong.sentence());
      return null;
    }
  }

  private static @Nullable String text(String field, @Nullable String typed, int most, Map<String, String> errors) {
    String text = typed == null ? "" : typed.strip();
    if (text.length() > most) {
      errors.put(field, "At most " + most + " characters, but there are " + text.length() + ".");
    }
    return text.isEmpty() ? null : text;
  }
}
