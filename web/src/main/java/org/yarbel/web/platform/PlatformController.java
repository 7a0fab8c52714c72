package org.yarbel.web.platform;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.contest.Prepared;
import org.yarbel.web.form.Typed;
import org.yarbel.web.page.Choice;
import org.yarbel.web.who.SignedIn;

/** One lifter's screen on the Platform, and the attempts entered there. A lifter sees and enters their own. */
@Controller
class PlatformController {
  private static final String LIFTER = "platform/lifter";
  private static final HttpStatus REFUSED = HttpStatus.UNPROCESSABLE_CONTENT;
  private static final String STRONGMAN = "platform/strongman";

  private final Contests contests;
  private final DayGuard guard;
  private final PlatformLog log;
  private final AthletePages pages;
  private final StrongmanPages strongman;
  private final OddsDocuments odds;
  private final DaySettings settings;

  PlatformController(Contests contests, DayGuard guard, PlatformLog log, AthletePages pages, StrongmanPages strongman, OddsDocuments odds,
      DaySettings settings) {
    this.settings = settings;
    this.contests = contests;
    this.guard = guard;
    this.log = log;
    this.pages = pages;
    this.strongman = strongman;
    this.odds = odds;
  }

  @GetMapping("/contests/{id}/platform/{athlete}")
  ModelAndView page(@PathVariable long id, @PathVariable long athlete, @RequestParam(required = false) @Nullable String lift,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    guard.see(id, athlete, who);
    if (contests.contest(id).said().sport() == Contest.Sport.STRONGMAN) {
      return new ModelAndView(STRONGMAN + (htmx.isHtmxRequest() ? " :: platform" : ""), Map.of("view", strongman.view(id, athlete, who)));
    }
    return shown(pages.view(id, athlete, AthletePages.Wanted.of(lift), who), htmx, HttpStatus.OK);
  }

  private static ModelAndView shown(AthleteView view, HtmxRequest htmx, HttpStatus status) {
    ModelAndView page = new ModelAndView(LIFTER + (htmx.isHtmxRequest() ? " :: platform" : ""), Map.of("view", view,
        "looks", Choice.of(Verdict.Look.class, Verdict.Look::word), "reasons", Choice.of(Verdict.Reason.class, Verdict.Reason::word),
        "aims", Choice.of(Prepared.AimKind.class, Prepared.AimKind::word)));
    page.setStatus(status);
    return page;
  }

  @PostMapping("/contests/{id}/platform/{athlete}/attempts")
  ModelAndView attempt(@PathVariable long id, @PathVariable long athlete, @RequestParam Map<String, String> form,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    guard.see(id, athlete, who);
    RuleSet rules = contests.contest(id).daySheet().rules();
    Typed typed = new Typed(form);
    Optional<PlatformLog.AttemptEntry> entry = AttemptForm.read(typed, rules);
    if (entry.isEmpty()) {
      return shown(pages.view(id, athlete, refused(typed, String.join(" ", typed.errors().values())), who), htmx, REFUSED);
    }
    try {
      PlatformLog.Outcome outcome = log.attempt(id, athlete, entry.get(), who);
      if (outcome instanceof PlatformLog.Outcome.Differs differs) {
        AthleteView.DiffersView asked = AttemptForm.differs(differs, typed, rules);
        return shown(pages.view(id, athlete, new AthletePages.Wanted(typed.text("lift"), "", null, asked), who), htmx, HttpStatus.CONFLICT);
      }
    } catch (Refused refused) {
      return shown(pages.view(id, athlete, refused(typed, refused.sentence()), who), htmx, REFUSED);
    } catch (DataIntegrityViolationException meanwhile) {
      // the same entry came twice at the same moment: the other one stands
    }
    return htmx.isHtmxRequest() ? shown(pages.view(id, athlete, AthletePages.Wanted.of(typed.text("lift")), who), htmx, HttpStatus.OK)
        : new ModelAndView("redirect:/contests/" + id + "/platform/" + athlete);
  }

  private static AthletePages.Wanted refused(Typed typed, String why) {
    return new AthletePages.Wanted(typed.text("lift"), typed.text("load"), why, null);
  }

  /** What a phone takes along, so that it looks up what it cannot ask. */
  @GetMapping("/contests/{id}/platform/{athlete}/odds")
  @ResponseBody
  OddsDocuments.Document odds(@PathVariable long id, @PathVariable long athlete, @AuthenticationPrincipal SignedIn who) {
    guard.see(id, athlete, who);
    return odds.of(id, athlete);
  }

  /** The number of the newest entry: where it is another, there is something new to see. */
  @GetMapping("/contests/{id}/platform/{athlete}/last")
  @ResponseBody
  Map<String, Long> last(@PathVariable long id, @PathVariable long athlete, @AuthenticationPrincipal SignedIn who) {
    guard.see(id, athlete, who);
    return Map.of("last", log.last(id));
  }

  /** What was decided beforehand. */
  @PostMapping("/contests/{id}/platform/{athlete}/prepared")
  ModelAndView prepare(@PathVariable long id, @PathVariable long athlete, @RequestParam Map<String, String> form,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx) {
    Prepared before = guard.see(id, athlete, who).prepared();
    Typed typed = new Typed(form);
    Optional<Prepared> prepared = PreparedForm.read(typed, before, contests.contest(id).daySheet().rules());
    if (prepared.isEmpty()) {
      return shown(pages.view(id, athlete, new AthletePages.Wanted(null, "", null, null, form, typed.errors()), who), htmx, REFUSED);
    }
    settings.prepare(id, athlete, prepared.get());
    return new ModelAndView("redirect:/contests/" + id + "/platform/" + athlete + "#prepared");
  }

  /** What is in the bag. */
  @PostMapping("/contests/{id}/platform/{athlete}/bag")
  String pack(@PathVariable long id, @PathVariable long athlete, @RequestParam Map<String, String> form,
      @AuthenticationPrincipal SignedIn who) {
    guard.see(id, athlete, who);
    guard.pack(id, athlete, form);
    return "redirect:/contests/" + id + "/platform/" + athlete + "#bag";
  }
}
