package org.yarbel.web.lifts;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Equipment;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.lift.Muscle;
import org.yarbel.core.lift.Pattern;
import org.yarbel.core.lift.Variation;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.form.Shown;
import org.yarbel.web.form.Typed;
import org.yarbel.web.problem.NotFound;

/** The catalogue's page. */
@Controller
class LiftsController {
  private static final double DEFAULT_SPREAD = 6;

  private final Lifts lifts;

  LiftsController(Lifts lifts) {
    this.lifts = lifts;
  }

  /**
   * One lift in the tree.
   *
   * @param depth below the head of its family
   */
  public record LiftRow(String key, String name, int depth, String how, String ratio, String pattern, String equipment,
      String muscles, String contest, boolean own, boolean retired) {}

  @GetMapping("/lifts")
  String page(@RequestParam(defaultValue = "") String find, @RequestParam(defaultValue = "") String edit, Model model) {
    Map<String, String> fields = edit.isEmpty() ? Map.of() : fields(own(edit));
    model.addAllAttributes(shown(find, new Typed(fields), edit));
    return "lifts/page";
  }

  @PostMapping("/lifts")
  ModelAndView keep(@RequestParam Map<String, String> fields, RedirectAttributes flash) {
    Typed typed = new Typed(fields);
    String edit = typed.text("edit");
    Lift lift = lift(typed, edit);
    if (lift != null && typed.fine()) {
      try {
        lifts.keep(lift, !edit.isEmpty());
      } catch (Refused refused) {
        typed.wrong("name", refused);
      }
    }
    if (!typed.fine()) {
      ModelAndView again = new ModelAndView("lifts/page", shown("", typed, edit));
      again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
      return again;
    }
    flash.addFlashAttribute("said", edit.isEmpty() ? "Added. It can be planned as " + lift.key() + "." : "Saved.");
    return new ModelAndView("redirect:/lifts?find=" + lift.key());
  }

  /** Offers a club's own lift no more, or again. */
  @PostMapping("/lifts/{key}/retire")
  String retire(@PathVariable String key, @RequestParam(defaultValue = "true") boolean retired, RedirectAttributes flash) {
    lifts.retire(key, retired);
    flash.addFlashAttribute("said", retired ? "No longer offered. What was planned and logged with it stays." : "Offered again.");
    return "redirect:/lifts?find=" + key;
  }

  private Lift own(String key) {
    return lifts.catalogue().ofKey(key).filter(lift -> lifts.own().contains(lift.key())).orElseThrow(NotFound::new);
  }

  private static Map<String, String> fields(Lift lift) {
    Map<String, String> fields = new HashMap<>(Map.of("edit", lift.key(), "name", lift.name(), "parent",
        lift.parent() == null ? "" : lift.parent(), "pattern", lift.pattern().name(), "equipment", lift.equipment().name(),
        "close", lift.close() ? "yes" : "", "variation", lift.variation().toString(), "movement", lift.movement().name()));
    if (lift.ratio() != null) {
      fields.put("ratio", plain(lift.ratio().percent()));
      fields.put("spread", plain(lift.ratio().sd()));
    }
    lift.muscles().forEach(muscle -> fields.put("muscle." + muscle, "yes"));
    return fields;
  }

  private @Nullable Lift lift(Typed typed, String edit) {
    String name = typed.name("name", "the name of the lift", 60);
    Optional<Lift> parent = lifts.catalogue().ofKey(typed.text("parent"));
    if (!typed.empty("parent") && parent.isEmpty()) {
      typed.wrong("parent", "There is no lift '" + typed.text("parent") + "' to vary.");
    }
    Double percent = typed.decimal("ratio", "The ratio in %", 20, 200);
    Double spread = typed.decimal("spread", "The spread in %", 1, 20);
    if (percent != null && parent.isEmpty()) {
      typed.wrong("ratio", "A ratio needs a lift to compare with: choose what it varies.");
    }
    Set<Muscle> muscles = EnumSet.noneOf(Muscle.class);
    for (Muscle muscle : Muscle.values()) {
      if (typed.ticked("muscle." + muscle)) {
        muscles.add(muscle);
      }
    }
    if (!typed.fine()) {
      return null;
    }
    Lift.Ratio ratio = percent == null ? null : new Lift.Ratio(percent, spread == null ? DEFAULT_SPREAD : spread);
    Movement family = parent.map(Lift::movement).orElse(typed.choice("movement", Movement.class).orElse(Movement.OTHER));
    Variation variation = variation(typed);
    if (variation == null) {
      return null;
    }
    try {
      return new Lift(edit.isEmpty() ? key(name) : edit, name, parent.map(Lift::key).orElse(null), family,
          typed.choice("pattern", Pattern.class).orElse(parent.map(Lift::pattern).orElse(Pattern.SQUAT)),
          typed.choice("equipment", Equipment.class).orElse(Equipment.BAR), Lift.Contest.NO,
          typed.ticked("close"), ratio, muscles.isEmpty() ? parent.map(Lift::muscles).orElse(Set.of()) : muscles,
          variation);
    } catch (Refused refused) {
      typed.wrong("name", refused);
      return null;
    }
  }

  private static @Nullable Variation variation(Typed typed) {
    try {
      return Variation.parse(typed.text("variation"));
    } catch (Refused refused) {
      typed.wrong("variation", refused);
      return null;
    }
  }

  /** The key a name gives: small letters, digits and dashes. */
  private static String key(String name) {
    String plain = java.text.Normalizer.normalize(name, java.text.Normalizer.Form.NFD).toLowerCase(Locale.ROOT);
    return plain.replaceAll("[^a-z0-9]+", "-").replaceAll("^[-0-9]+|-+$", "");
  }

  private Map<String, Object> shown(String find, Typed typed, String edit) {
    Catalogue catalogue = lifts.catalogue();
    Set<String> own = lifts.own();
    Set<String> retired = lifts.retired();
    List<LiftRow> rows = new ArrayList<>();
    catalogue.heads().forEach(head -> grow(catalogue, head, 0, rows, own, retired));
    String part = find.strip().toLowerCase(Locale.ROOT);
    List<LiftRow> found = rows.stream().filter(row -> part.isEmpty() || row.name().toLowerCase(Locale.ROOT).contains(part)
        || row.key().contains(part) || row.muscles().contains(part) || row.pattern().contains(part)
        || row.equipment().contains(part)).toList();
    Map<String, Object> model = new HashMap<>();
    model.put("rows", found);
    model.put("find", find);
    model.put("edit", edit);
    model.put("f", Shown.of(typed));
    model.put("parents", catalogue.all());
    model.put("patterns", Pattern.values());
    model.put("equipments", Equipment.values());
    model.put("muscles", Muscle.values());
    return model;
  }

  private static void grow(Catalogue catalogue, Lift lift, int depth, List<LiftRow> rows, Set<String> own, Set<String> retired) {
    Lift.Ratio ratio = lift.ratio();
    String close = lift.close() ? "close variant" : "";
    rows.add(new LiftRow(lift.key(), lift.name(), depth, lift.variation().words(),
        ratio == null ? "" : plain(ratio.percent()) + " ± " + plain(ratio.sd()) + " %", lift.pattern().word(),
        lift.equipment().word(), lift.muscles().stream().map(Muscle::word).collect(Collectors.joining(", ")),
        lift.contest() == Lift.Contest.NO ? close : lift.contest().name().toLowerCase(Locale.ROOT),
        own.contains(lift.key()), retired.contains(lift.key())));
    catalogue.children(lift).forEach(child -> grow(catalogue, child, depth + 1, rows, own, retired));
  }

  private static String plain(double value) {
    return java.math.BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
  }
}
