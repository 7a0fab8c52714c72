package org.yarbel.web.workbench;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.web.form.Shown;
import org.yarbel.web.form.Typed;
import org.yarbel.web.problem.NotFound;

/** The Workbench: a page a tool, what was typed in its link. */
@Controller
class WorkbenchController {
  private static final List<Tool> TOOLS = List.of(new Tool("estimate", "Max from a set"), new Tool("chart", "Effort chart"),
      new Tool("plates", "Plates"), new Tool("ramp", "Warm-up"), new Tool("bands", "Bands and chains"), new Tool("points", "Points"),
      new Tool("units", "kg and lb"));

  /** What stands on a page that is opened with nothing typed. */
  private static final Map<String, Map<String, String>> EXAMPLES = Map.of("estimate", Map.of("load", "140", "reps", "5", "rpe", "8"),
      "chart", Map.of("max", "200"), "plates", Map.of("loads", "60 100 140 182.5"), "ramp", Map.of("top", "182.5", "lift", "squat"),
      "bands", Map.of("bar", "140", "pulls", "60:12 100:26", "bottom", "60", "top", "100"), "points",
      Map.of("sex", "m", "bodyMass", "93", "total", "800"), "units", Map.of("amount", "142.5"));

  private final KitChoice choice;

  WorkbenchController(KitChoice choice) {
    this.choice = choice;
  }

  /** One of the sums. */
  public record Tool(String key, String name) {}

  @GetMapping("/workbench")
  String first() {
    return "redirect:/workbench/estimate";
  }

  @GetMapping("/workbench/{key}")
  ModelAndView tool(@PathVariable String key, @RequestParam Map<String, String> fields) {
    Tool tool = TOOLS.stream().filter(t -> t.key().equals(key)).findFirst().orElseThrow(NotFound::new);
    boolean example = fields.isEmpty();
    Typed typed = new Typed(example ? EXAMPLES.getOrDefault(key, Map.of()) : fields);
    Map<String, Object> model = new HashMap<>();
    Map<String, String> said = new HashMap<>();
    Object result = switch (key) {
      case "estimate" -> EstimateTool.of(typed);
      case "chart" -> ChartTool.of(typed);
      case "plates" -> PlatesTool.plates(typed, choice, said);
      case "ramp" -> PlatesTool.ramp(typed, choice, said);
      case "bands" -> CurveTool.of(typed, choice);
      case "points" -> PointsTool.of(typed);
      default -> PlatesTool.convert(typed);
    };
    model.put("tools", TOOLS);
    model.put("tool", tool);
    model.put("result", typed.fine() || key.equals("chart") ? result : null);
    model.put("note", said.get("note"));
    model.put("f", Shown.of(typed));
    model.put("here", "workbench");
    model.put("example", example);
    model.put("title", tool.name());
    model.put("curves", EstimateTool.curves());
    if (key.equals("plates") || key.equals("ramp")) {
      model.put("places", choice.places());
      model.put("lifts", choice.lifts());
    }
    if (key.equals("bands")) {
      model.put("bands", choice.bands());
      model.put("chains", choice.chains());
    }
    ModelAndView page = new ModelAndView("workbench/page", model);
    page.setStatus(typed.fine() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    return page;
  }
}
