package org.yarbel.web.watch;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.call.CallRule;
import org.yarbel.core.call.CallRules;
import org.yarbel.core.mass.Decimal;
import org.yarbel.core.watch.Check;
import org.yarbel.core.watch.Checks;
import org.yarbel.core.watch.Figure;
import org.yarbel.core.watch.Figures;

/** Every check and every rule of the calls with its source, and the figures a club can set. */
@Controller
class ChecksController {
  private final Thresholds thresholds;

  ChecksController(Thresholds thresholds) {
    this.thresholds = thresholds;
  }

  /** A figure to set. */
  public record ThresholdRow(String key, String words, String value, String usual, String range, @Nullable String error) {}

  /** A check, or a rule of the calls, with where it is from. */
  public record CheckView(String title, String source) {
    static CheckView of(Check check) {
      return new CheckView(check.title(), check.source());
    }

    static CheckView of(CallRule rule) {
      return new CheckView(rule.title(), rule.when() + " " + rule.source());
    }
  }

  @GetMapping("/checks")
  String page(Model model) {
    Figures values = thresholds.values();
    Map<String, String> typed = new HashMap<>();
    for (Figure threshold : Thresholds.all()) {
      typed.put(threshold.key(), text(values.of(threshold)));
    }
    model.addAllAttributes(shown(typed, Map.of()));
    return "watch/page";
  }

  @PostMapping("/checks")
  ModelAndView set(@RequestParam Map<String, String> typed, RedirectAttributes flash) {
    Map<Figure, Double> figures = new HashMap<>();
    Map<String, String> errors = new HashMap<>();
    for (Figure threshold : Thresholds.all()) {
      String text = typed.getOrDefault(threshold.key(), "").strip().replace(',', '.');
      try {
        double figure = text.isEmpty() ? threshold.usual() : Decimal.parse(text).doubleValue();
        if (figure < threshold.least() || figure > threshold.most()) {
          throw new NumberFormatException(text);
        }
        figures.put(threshold, figure);
      } catch (NumberFormatException wrong) {
        errors.put(threshold.key(), "The figure must be from " + range(threshold) + " but was '" + typed.get(threshold.key()) + "'.");
      }
    }
    if (!errors.isEmpty()) {
      return new ModelAndView("watch/page", shown(typed, errors), HttpStatus.UNPROCESSABLE_CONTENT);
    }
    thresholds.set(figures);
    flash.addFlashAttribute("said", "Set. The boards follow at once.");
    return new ModelAndView("redirect:/checks");
  }

  private static Map<String, Object> shown(Map<String, String> typed, Map<String, String> errors) {
    List<ThresholdRow> rows = new ArrayList<>();
    for (Figure threshold : Thresholds.all()) {
      rows.add(new ThresholdRow(threshold.key(), threshold.words(), typed.getOrDefault(threshold.key(), ""), text(threshold.usual()),
          range(threshold), errors.get(threshold.key())));
    }
    return Map.of("rows", rows, "checks", Checks.all().stream().map(CheckView::of).toList(),
        "calls", CallRules.all().stream().map(CheckView::of).toList(), "wrong", !errors.isEmpty());
  }

  private static String range(Figure threshold) {
    return text(threshold.least()) + " to " + text(threshold.most());
  }

  private static String text(double figure) {
    return figure % 1 == 0 ? Long.toString((long) figure) : Double.toString(figure);
  }
}
