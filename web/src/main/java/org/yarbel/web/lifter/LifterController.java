package org.yarbel.web.lifter;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
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
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.notation.Basis;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.account.Role;
import org.yarbel.web.account.SignInDetails;
import org.yarbel.web.account.SignedIn;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Place;

/** The Lifter's page. */
@Controller
class LifterController {
  private final LifterService lifters;
  private final Accounts accounts;
  private final ClubClock clock;

  LifterController(LifterService lifters, Accounts accounts, ClubClock clock) {
    this.lifters = lifters;
    this.accounts = accounts;
    this.clock = clock;
  }

  @ModelAttribute
  void choices(Model model) {
    model.addAttribute("levels", Level.values());
    model.addAttribute("bases", List.of(Basis.ESTIMATED, Basis.TESTED, Basis.TRAINING, Basis.GOAL));
  }

  @GetMapping("/lifters/new")
  String blank(Model model) {
    Place first = lifters.places().get(0);
    return page(model, LifterView.blank(first.unit(), first.id()));
  }

  @PostMapping("/lifters")
  ModelAndView add(@RequestParam Map<String, String> typed) {
    LifterService.Saved saved = lifters.add(typed);
    if (saved.errors().isEmpty()) {
      return new ModelAndView("redirect:/lifters/" + saved.lifterId() + "/week");
    }
    Place first = lifters.places().get(0);
    return refused(LifterView.blank(first.unit(), first.id()).typed(typed, saved.errors(), null), HttpStatus.UNPROCESSABLE_CONTENT);
  }

  @GetMapping("/lifters/{id}")
  String page(@PathVariable long id, @ModelAttribute("said") @Nullable String said, @AuthenticationPrincipal SignedIn who,
      Model model) {
    return page(model, stored(id, who, said == null || said.isEmpty() ? null : said));
  }

  @PostMapping("/lifters/{id}")
  ModelAndView change(@PathVariable long id, @RequestParam Map<String, String> typed,
      @RequestParam(defaultValue = "-1") int version, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    LifterService.Saved saved;
    try {
      saved = lifters.change(id, version, typed);
    } catch (OptimisticLockingFailureException meanwhile) {
      saved = new LifterService.Saved(id, Map.of(), true);
    }
    if (saved.meanwhile()) {
      return refused(stored(id, who, null).typed(typed, Map.of(),
          "Not saved: somebody changed this lifter meanwhile. What you typed is still here; save again to replace theirs."),
          HttpStatus.CONFLICT);
    }
    if (!saved.errors().isEmpty()) {
      return refused(stored(id, who, null).typed(typed, saved.errors(), null), HttpStatus.UNPROCESSABLE_CONTENT);
    }
    flash.addFlashAttribute("said", "Saved.");
    return new ModelAndView("redirect:/lifters/" + id);
  }

  /** Gives the lifter a sign-in of their own. */
  @PostMapping("/lifters/{id}/account")
  ModelAndView account(@PathVariable long id, @RequestParam(defaultValue = "") String email,
      @RequestParam(defaultValue = "") String password, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = lifters.known(id).lifter();
    Map<String, String> errors = new LinkedHashMap<>();
    SignInDetails.check(email.strip(), password, errors);
    if (accounts.emailOf(who.clubId(), id).isPresent()) {
      errors.put("email", "This lifter has a sign-in already.");
    } else if (!errors.containsKey("email") && accounts.taken(email)) {
      errors.put("email", "This address cannot be used here. Choose another.");
    }
    if (!errors.isEmpty()) {
      return refused(stored(id, who, null).typed(Map.of("email", email), errors, null), HttpStatus.UNPROCESSABLE_CONTENT);
    }
    accounts.add(who.clubId(), email, password, lifter.name(), Role.LIFTER, id);
    flash.addFlashAttribute("said", lifter.name() + " can sign in now.");
    return new ModelAndView("redirect:/lifters/" + id);
  }

  private LifterView stored(long id, SignedIn who, @Nullable String said) {
    return LifterView.of(lifters.known(id), accounts.emailOf(who.clubId(), id).orElse(null), clock.today(), said);
  }

  private String page(Model model, LifterView view) {
    model.addAllAttributes(shown(view));
    return "lifter/page";
  }

  private ModelAndView refused(LifterView view, HttpStatus status) {
    ModelAndView page = new ModelAndView("lifter/page", shown(view));
    page.setStatus(status);
    return page;
  }

  private Map<String, Object> shown(LifterView view) {
    boolean blank = view.id() == 0;
    List<String> shown = view.lifts().stream().map(LifterView.LiftView::key).toList();
    List<Lift> others = Lift.catalogue().stream().filter(lift -> !shown.contains(lift.key())).toList();
    return Map.of("lifter", view, "places", lifters.places(), "otherLifts", others, "title", blank ? "New lifter" : view.name(),
        "here", blank ? "new" : "lifter");
  }
}
