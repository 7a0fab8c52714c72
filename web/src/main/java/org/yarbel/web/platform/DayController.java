package org.yarbel.web.platform;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.ExtendedModelMap;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.contest.PointsFormula;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.contest.strongman.EventKind;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.ContestAthlete.AthleteSaid;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.contest.DaySheet;
import org.yarbel.web.form.Typed;
import org.yarbel.web.page.Choice;
import org.yarbel.web.who.SignedIn;

/** The table of a contest: who lifts, what is entered of them, who wrote it, and by which rules it goes. */
@Controller
class DayController {
  private static final String SAID = "said";

  private final Contests contests;
  private final DayGuard guard;
  private final DayPages pages;
  private final PlatformLog log;
  private final DaySettings settings;
  private final Lifts lifts;

  DayController(Contests contests, DayGuard guard, DayPages pages, PlatformLog log, DaySettings settings, Lifts lifts) {
    this.contests = contests;
    this.guard = guard;
    this.pages = pages;
    this.log = log;
    this.settings = settings;
    this.lifts = lifts;
  }

  @GetMapping("/contests/{id}/day")
  String table(@PathVariable long id, @RequestParam(required = false) @Nullable Long athlete,
      @RequestParam(required = false) @Nullable String lift, HtmxRequest htmx, HttpServletResponse response, Model model) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    if (contests.contest(id).said().sport() == Contest.Sport.STRONGMAN) {
      return "redirect:/contests/" + id + "/events";
    }
    model.addAllAttributes(pages.model(id, DayPages.Wanted.of(athlete, lift)));
    return htmx.isHtmxRequest() ? DayPages.TABLE + " :: day" : DayPages.TABLE;
  }

  /** The table where it changed since somebody saw it, by the number of the newest entry; else nothing. */
  @GetMapping(value = "/contests/{id}/day", params = "seen")
  @Nullable ModelAndView since(@PathVariable long id, @RequestParam long seen, HttpServletResponse response) {
    contests.contest(id);
    if (log.last(id) == seen) {
      response.setStatus(HttpStatus.NO_CONTENT.value());
      return null;
    }
    return new ModelAndView(DayPages.TABLE + " :: day", pages.model(id, DayPages.Wanted.of(null, null)));
  }

  private ModelAndView refused(long id, DayPages.Wanted wanted, HttpStatus status) {
    ModelAndView page = new ModelAndView(DayPages.TABLE, pages.model(id, wanted));
    page.setStatus(status);
    return page;
  }

  /** An attempt entered at the table. */
  @PostMapping("/contests/{id}/day/{athlete}/attempts")
  ModelAndView attempt(@PathVariable long id, @PathVariable long athlete, @RequestParam Map<String, String> form,
      @AuthenticationPrincipal SignedIn who) {
    guard.see(id, athlete, who);
    RuleSet rules = contests.contest(id).daySheet().rules();
    Typed typed = new Typed(form);
    Optional<PlatformLog.AttemptEntry> entry = AttemptForm.read(typed, rules);
    if (entry.isEmpty()) {
      return refused(id, DayPages.Wanted.refused(athlete, typed), HttpStatus.UNPROCESSABLE_CONTENT);
    }
    try {
      if (log.attempt(id, athlete, entry.get(), who) instanceof PlatformLog.Outcome.Differs differs) {
        return refused(id, new DayPages.Wanted(athlete, typed.text("lift"), typed, AttemptForm.differs(differs, typed, rules)),
            HttpStatus.CONFLICT);
      }
    } catch (Refused refused) {
      typed.wrong("load", refused);
      return refused(id, DayPages.Wanted.refused(athlete, typed), HttpStatus.UNPROCESSABLE_CONTENT);
    } catch (DataIntegrityViolationException twice) {
      // the same entry came twice at the same moment: the other one stands
      return new ModelAndView("redirect:/contests/" + id + "/day?athlete=" + athlete + "#entry");
    }
    return new ModelAndView("redirect:/contests/" + id + "/day?athlete=" + athlete + "#entry");
  }

  /** Who somebody is: a rival, or of one of the club what the day says of them. */
  @PostMapping("/contests/{id}/day/{athlete}/person")
  ModelAndView person(@PathVariable long id, @PathVariable long athlete, @RequestParam Map<String, String> form,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    ContestAthlete before = guard.see(id, athlete, who);
    Map<String, String> fields = new HashMap<>(form);
    if (before.ours()) {
      fields.put("name", "one of the club");
    }
    Typed typed = new Typed(fields);
    AthleteSaid said = RivalSheet.person(typed, "category", "body", "expected");
    if (!typed.fine()) {
      return refused(id, DayPages.Wanted.refused(athlete, typed), HttpStatus.UNPROCESSABLE_CONTENT);
    }
    AthleteSaid kept = !before.ours() ? said : new AthleteSaid("", null, said.category(), said.flight(), said.lot(), said.bodyMass(),
        said.expected(), said.withdrawn(), false);
    log.person(id, athlete, kept, Typed.uuid(typed.text("key")).orElseGet(UUID::randomUUID), who);
    flash.addFlashAttribute(SAID, "Kept.");
    return new ModelAndView("redirect:/contests/" + id + "/day?athlete=" + athlete + "#entry");
  }

  private String back(long id) {
    return "redirect:/contests/" + id + (contests.contest(id).said().sport() == Contest.Sport.STRONGMAN ? "/events" : "/day");
  }

  /** Puts back what stood before an entry. */
  @PostMapping("/contests/{id}/notes/{note}/undo")
  String undo(@PathVariable long id, @PathVariable long note, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    contests.contest(id);
    flash.addFlashAttribute(SAID, log.undo(id, note, who).orElse("Undone."));
    return back(id) + "#notes";
  }

  @GetMapping("/contests/{id}/rules")
  String rules(@PathVariable long id, Model model) {
    Contest contest = contests.contest(id);
    fillRules(model, contest, RulesForm.fields(contest, lifts.catalogue()), Map.of());
    return "platform/rules";
  }

  private void fillRules(Model model, Contest contest, Map<String, String> fields, Map<String, String> errors) {
    model.addAttribute("contest", contest);
    model.addAttribute("strongman", contest.said().sport() == Contest.Sport.STRONGMAN);
    model.addAttribute("fields", fields);
    model.addAttribute("errors", errors);
    model.addAttribute("version", contest.version());
    model.addAttribute("formulas", List.of(new Choice(PointsFormula.DOTS.name(), "DOTS"), new Choice(PointsFormula.IPFGL.name(), "IPF GL"),
        new Choice(PointsFormula.WILKS.name(), "Wilks")));
    model.addAttribute("kinds", Choice.of(EventKind.class, EventKind::word));
    model.addAttribute("events", contest.said().events().stream().map(event -> lifts.catalogue().ofKey(event.lift())
        .map(found -> found.name()).orElse(event.lift()) + ": " + event.work()).toList());
  }

  @PostMapping("/contests/{id}/rules")
  ModelAndView keepRules(@PathVariable long id, @RequestParam Map<String, String> form, RedirectAttributes flash) {
    Contest contest = contests.contest(id);
    Typed typed = new Typed(form);
    Optional<DaySheet> sheet = RulesForm.read(typed, contest, lifts.catalogue());
    if (!typed.text("version").equals(Integer.toString(contest.version()))) {
      typed.wrong("version", "Meanwhile somebody else changed this contest: what you typed is here, load the page anew to see theirs.");
    }
    if (sheet.isEmpty() || !typed.fine()) {
      ExtendedModelMap model = new ExtendedModelMap();
      fillRules(model, contest, form, typed.errors());
      ModelAndView again = new ModelAndView("platform/rules", model);
      again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
      return again;
    }
    settings.rules(id, sheet.get());
    flash.addFlashAttribute(SAID, "Kept. What was lifted stands, whatever the rules are now.");
    return new ModelAndView("redirect:/contests/" + id + "/rules");
  }
}
