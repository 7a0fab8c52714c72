package org.yarbel.web.lifter;

import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.OptimisticLockingFailureException;
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
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.form.Typed;
import org.yarbel.web.who.SignedIn;

/** The Lifter's page. */
@Controller
class LifterController {
  private final LifterService lifters;
  private final Accounts accounts;
  private final ClubClock clock;
  private final ApplicationEventPublisher events;

  LifterController(LifterService lifters, Accounts accounts, ClubClock clock, ApplicationEventPublisher events) {
    this.events = events;
    this.lifters = lifters;
    this.accounts = accounts;
    this.clock = clock;
  }

  /** A piece of gear, and the fields of where it goes on, each with the family of lifts. */
  record GearChoice(String name, String word, Map<String, String> from) {
    static GearChoice of(Gear piece) {
      Map<String, String> from = new LinkedHashMap<>();
      LifterForm.families(piece).forEach(family -> from.put(LifterForm.goesOn(piece, family), family.name().toLowerCase(Locale.ROOT)));
      return new GearChoice(piece.name(), piece.word(), from);
    }
  }

  @ModelAttribute
  void choices(Model model, @AuthenticationPrincipal SignedIn who) {
    model.addAttribute("coaches", accounts.coaches(who.clubId()));
    model.addAttribute("levels", Level.values());
    model.addAttribute("bases", List.of(Basis.ESTIMATED, Basis.TESTED, Basis.TRAINING, Basis.GOAL));
    model.addAttribute("hows", EntryReader.HOW);
    model.addAttribute("gears", Arrays.stream(Gear.values()).map(GearChoice::of).toList());
    model.addAttribute("workLoads", Lifter.WorkLoad.values());
    model.addAttribute("diets", Lifter.Diet.values());
    model.addAttribute("weekdays", DayOfWeek.values());
    model.addAttribute("today", clock.today().toString());
  }

  @PostMapping("/lifters/{id}")
  ModelAndView change(@PathVariable long id, @RequestParam Map<String, String> fields,
      @RequestParam(defaultValue = "-1") int version, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    LifterService.SavedLifter saved;
    Map<String, String> before = stored(id, who).fields();
    try {
      saved = lifters.change(id, version, fields);
    } catch (OptimisticLockingFailureException meanwhile) {
      saved = new LifterService.SavedLifter(id, new Typed(fields), true);
    }
    if (saved.meanwhile()) {
      return refused(stored(id, who).typed(saved.typed(),
          "Not saved: somebody changed this lifter meanwhile. What you typed is still here; save again to replace theirs."),
          HttpStatus.CONFLICT);
    }
    if (!saved.typed().fine()) {
      return after(id, saved.typed(), "Saved.", who, flash);
    }
    events.publishEvent(new NumbersChanged(id));
    LifterView now = stored(id, who);
    boolean changed = !now.fields().equals(before);
    if (changed) {
      Map<String, String> back = new HashMap<>(before);
      back.put("version", Integer.toString(now.version()));
      // figures that were right once are not asked about again
      before.forEach((field, value) -> back.put("sure." + field, value));
      flash.addFlashAttribute("undo", new LifterView.UndoView("/lifters/" + id, back));
    }
    flash.addFlashAttribute("said", changed ? "Saved." : "Saved. Nothing was different.");
    return new ModelAndView("redirect:/lifters/" + id);
  }

  @GetMapping("/lifters/{id}")
  String page(@PathVariable long id, @AuthenticationPrincipal SignedIn who, Model model) {
    String said = model.getAttribute("said") instanceof String word ? word : null;
    LifterView.UndoView undo = model.getAttribute("undo") instanceof LifterView.UndoView put ? put : null;
    model.addAllAttributes(shown(stored(id, who).saying(said, undo)));
    return "lifter/page";
  }

  @PostMapping("/lifters/{id}/weigh-ins")
  ModelAndView weigh(@PathVariable long id, @RequestParam Map<String, String> fields, @AuthenticationPrincipal SignedIn who,
      RedirectAttributes flash) {
    return after(id, lifters.weigh(id, fields), "Weighed.", who, flash);
  }

  @PostMapping("/lifters/{id}/weigh-ins/{row}/remove")
  String unweigh(@PathVariable long id, @PathVariable long row, RedirectAttributes flash) {
    WeighIn gone = lifters.unweigh(id, row);
    return takenOut(id, "Taken out: " + gone.mass().text() + " of " + gone.day() + ".", new LifterView.UndoView(
        "/lifters/" + id + "/weigh-ins", Map.of("day", gone.day().toString(), "bodyMass", gone.mass().number(),
            "sure.bodyMass", gone.mass().number(), "weighedIn", gone.mass().unit().name())), flash);
  }

  @PostMapping("/lifters/{id}/complaints")
  ModelAndView complain(@PathVariable long id, @RequestParam Map<String, String> fields, @AuthenticationPrincipal SignedIn who,
      RedirectAttributes flash) {
    return after(id, lifters.complain(id, fields), "Noted. Pain that stays or grows belongs to a clinician.", who, flash);
  }

  @PostMapping("/lifters/{id}/complaints/{row}/over")
  String over(@PathVariable long id, @PathVariable long row, @RequestParam(defaultValue = "true") boolean over,
      RedirectAttributes flash) {
    lifters.over(id, row, over);
    return takenOut(id, over ? "Marked as over." : "Marked as there again.",
        new LifterView.UndoView("/lifters/" + id + "/complaints/" + row + "/over", Map.of("over", Boolean.toString(!over))), flash);
  }

  /** Notes a set from before, or a tested max. */
  @PostMapping("/lifters/{id}/sets")
  ModelAndView tell(@PathVariable long id, @RequestParam Map<String, String> fields, @AuthenticationPrincipal SignedIn who,
      RedirectAttributes flash) {
    return after(id, lifters.tell(id, fields), "Noted; the estimate follows.", who, flash);
  }

  @PostMapping("/lifters/{id}/sets/{row}/remove")
  String untell(@PathVariable long id, @PathVariable long row, RedirectAttributes flash) {
    LifterService.ToldLifter gone = lifters.untell(id, row);
    Mass load = gone.set().load();
    return takenOut(id, "Taken out: " + load.text() + " × " + gone.set().reps() + " of " + gone.set().date() + ".",
        new LifterView.UndoView("/lifters/" + id + "/sets", Map.of("lift", gone.lift(), "load", load.number(),
            "sure.load", load.number(), "toldIn", load.unit().name(), "reps", Integer.toString(gone.set().reps()),
            "how", EntryReader.how(gone.set()), "on", gone.set().date().toString())), flash);
  }

  /** Back to the page with what was said, or the page again with what is wrong. */
  private ModelAndView after(long id, Typed typed, String said, SignedIn who, RedirectAttributes flash) {
    if (!typed.fine()) {
      return refused(stored(id, who).typed(typed, null), HttpStatus.UNPROCESSABLE_CONTENT);
    }
    flash.addFlashAttribute("said", said);
    return new ModelAndView("redirect:/lifters/" + id);
  }

  private static String takenOut(long id, String said, LifterView.UndoView undo, RedirectAttributes flash) {
    flash.addFlashAttribute("said", said);
    flash.addFlashAttribute("undo", undo);
    return "redirect:/lifters/" + id;
  }

  private LifterView stored(long id, SignedIn who) {
    return LifterView.of(lifters.known(id), accounts.ofLifter(who.clubId(), id).orElse(null), clock.today());
  }

  private ModelAndView refused(LifterView view, HttpStatus status) {
    ModelAndView page = new ModelAndView("lifter/page", shown(view));
    page.setStatus(status);
    return page;
  }

  private Map<String, Object> shown(LifterView view) {
    List<String> shown = view.lifts().stream().map(LifterView.LiftView::key).toList();
    List<Lift> offered = lifters.offered();
    Map<String, Object> model = new HashMap<>();
    model.put("lifter", view);
    model.put("places", lifters.places());
    model.put("offered", offered);
    model.put("otherLifts", offered.stream().filter(lift -> !shown.contains(lift.key())).toList());
    model.put("title", view.name());
    model.put("here", "lifter");
    return model;
  }
}
