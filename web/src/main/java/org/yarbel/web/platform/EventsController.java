package org.yarbel.web.platform;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.core.contest.strongman.ContestedEvent;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.ContestAthlete.AthleteSaid;
import org.yarbel.web.form.Typed;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** The events of a strongman contest: results entered one by one, the table after each. */
@Controller
class EventsController {
  private final EventsPages pages;
  private final ContestDays days;
  private final PlatformLog log;
  private final DayGuard guard;

  EventsController(EventsPages pages, ContestDays days, PlatformLog log, DayGuard guard) {
    this.pages = pages;
    this.days = days;
    this.log = log;
    this.guard = guard;
  }

  @GetMapping("/contests/{id}/events")
  ModelAndView page(@PathVariable long id, @RequestParam(required = false) @Nullable Integer event,
      @RequestParam(required = false) @Nullable String category, HtmxRequest htmx, HttpServletResponse response) {
    return shown(id, EventsPages.Wanted.of(event, category), htmx, HttpStatus.OK, response);
  }

  private ModelAndView shown(long id, EventsPages.Wanted wanted, HtmxRequest htmx, HttpStatus status, HttpServletResponse response) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    Map<String, Object> model = new HashMap<>();
    model.put("view", pages.view(id, wanted));
    model.put("errors", Map.of());
    model.put("typed", Map.of());
    ModelAndView page = new ModelAndView("platform/events" + (htmx.isHtmxRequest() ? " :: platform" : ""), model);
    page.setStatus(status);
    return page;
  }

  @PostMapping("/contests/{id}/events/{event}/{athlete}")
  ModelAndView enter(@PathVariable long id, @PathVariable int event, @PathVariable long athlete, @RequestParam Map<String, String> form,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    ContestAthlete one = guard.see(id, athlete, who);
    Day day = days.day(id);
    ContestedEvent contested = day.events().stream().skip(Math.max(event - 1L, 0)).findFirst().filter(any -> event >= 1)
        .orElseThrow(NotFound::new);
    Map<String, String> said = new HashMap<>(form);
    if (form.containsKey("mine")) {
      said.put("seen", form.getOrDefault("over", ""));
    }
    Typed typed = new Typed(said);
    Optional<PlatformLog.ResultEntry> entry = ResultForm.read(typed, contested.kind(), event);
    String category = one.said().category();
    if (entry.isEmpty()) {
      return shown(id, new EventsPages.Wanted(event, category, athlete, form, String.join(" ", typed.errors().values()), null), htmx,
          HttpStatus.UNPROCESSABLE_CONTENT, response);
    }
    try {
      if (log.result(id, athlete, entry.get(), who) instanceof PlatformLog.Outcome.Differs differs) {
        return shown(id, new EventsPages.Wanted(event, category, athlete, form, null, new AthleteView.DiffersView(differs.words(),
            differs.now(), Map.of(), "yours")), htmx, HttpStatus.CONFLICT, response);
      }
    } catch (Refused refused) {
      return shown(id, new EventsPages.Wanted(event, category, athlete, form, refused.sentence(), null), htmx,
          HttpStatus.UNPROCESSABLE_CONTENT, response);
    }
    return htmx.isHtmxRequest() ? shown(id, EventsPages.Wanted.of(event, category), htmx, HttpStatus.OK, response)
        : new ModelAndView("redirect:/contests/" + id + "/events?event=" + event + "&category=" + URLEncoder.encode(category,
            StandardCharsets.UTF_8) + "#results");
  }

  /** Somebody withdraws, or comes back. */
  @PostMapping("/contests/{id}/events/{athlete}/withdraw")
  String withdraw(@PathVariable long id, @PathVariable long athlete, @AuthenticationPrincipal SignedIn who) {
    AthleteSaid said = guard.see(id, athlete, who).said();
    log.person(id, athlete, said.withdrawing(!said.withdrawn()), UUID.randomUUID(), who);
    return "redirect:/contests/" + id + "/events?category=" + URLEncoder.encode(said.category(), StandardCharsets.UTF_8);
  }
}
