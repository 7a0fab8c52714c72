package org.yarbel.web.lifter;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.web.who.SignedIn;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.Outlook;
import org.yarbel.core.track.Tracker;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Place;
import org.yarbel.web.form.Shown;
import org.yarbel.web.form.Typed;
import org.yarbel.web.once.WritesNothing;

/** Taking somebody on: a name, a unit, a place, and a first number of three lifts. */
@Controller
class TakeOnController {
  private static final int ROWS = 3;

  private final LifterService lifters;
  private final ClubClock clock;

  TakeOnController(LifterService lifters, ClubClock clock) {
    this.lifters = lifters;
    this.clock = clock;
  }

  @ModelAttribute
  void choices(Model model) {
    model.addAttribute("hows", EntryReader.HOW);
    model.addAttribute("here", "new");
    model.addAttribute("title", "New lifter");
  }

  @GetMapping("/lifters/new")
  String blank(Model model) {
    Place first = lifters.places().get(0);
    Map<String, String> fields = new HashMap<>(Map.of("unit", first.unit().name(), "place", Long.toString(first.id()),
        "lift.1", "squat", "lift.2", "bench", "lift.3", "deadlift"));
    for (int row = 1; row <= ROWS; row++) {
      fields.put("on." + row, clock.today().toString());
    }
    show(model, new Typed(fields));
    return "lifter/new";
  }

  @PostMapping("/lifters")
  ModelAndView add(@RequestParam Map<String, String> fields, @AuthenticationPrincipal SignedIn who) {
    LifterService.SavedLifter saved = lifters.takeOn(fields, who.accountId());
    if (!saved.done()) {
      ModelAndView again = new ModelAndView("lifter/new", HttpStatus.UNPROCESSABLE_CONTENT);
      show(again, saved.typed());
      return again;
    }
    return new ModelAndView("redirect:/lifters/" + saved.lifterId() + "/week");
  }

  /** What a row says about the max, while it is typed. */
  @WritesNothing
  @PostMapping("/lifters/new/rows/{row}")
  String row(@PathVariable int row, @RequestParam Map<String, String> fields, Model model) {
    model.addAttribute("gives", gives(new Typed(fields), row));
    return "lifter/gives :: gives";
  }

  private void show(Model model, Typed typed) {
    ModelAndView shown = new ModelAndView();
    show(shown, typed);
    model.addAllAttributes(shown.getModel());
  }

  private void show(ModelAndView page, Typed typed) {
    page.addObject("f", Shown.of(typed));
    page.addObject("places", lifters.places());
    page.addObject("offered", lifters.offered());
    page.addObject("gives", List.of(gives(typed, 1), gives(typed, 2), gives(typed, 3)));
  }

  private String gives(Typed typed, int row) {
    MassUnit unit = typed.unit("unit");
    Typed quiet = new Typed(typed.fields());
    Entry entry = new EntryReader(quiet, "." + row, unit, clock.today()).read();
    if (entry == null || !quiet.fine()) {
      return "";
    }
    Outlook outlook = new Tracker(Level.INTERMEDIATE, entry.tested() ? entry.test() : null)
        .run(entry.tested() ? List.of() : List.of(entry.set()), unit).on(clock.today());
    Estimate now = outlook == null ? null : outlook.max(unit);
    return now == null ? "" : "max about " + now.text(unit) + " " + unit;
  }
}
