package org.yarbel.web.platform;

import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.ContestAthleteRepository;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.form.Typed;
import org.yarbel.web.who.SignedIn;

/** Adds athletes to a contest, a line each, with their attempts where the list has them. */
@Controller
class AthletesController {
  private static final String LIST = "list";
  private static final int TOLD = 5;
  private static final int MOST_ATHLETES = 250;

  private final Contests contests;
  private final ContestAthleteRepository athletes;
  private final TakenIn takenIn;
  private final DayPages tables;
  private final EventsPages events;

  AthletesController(Contests contests, ContestAthleteRepository athletes, TakenIn takenIn, DayPages tables, EventsPages events) {
    this.contests = contests;
    this.athletes = athletes;
    this.takenIn = takenIn;
    this.tables = tables;
    this.events = events;
  }

  @PostMapping("/contests/{id}/rivals")
  ModelAndView add(@PathVariable long id, @RequestParam Map<String, String> form, @AuthenticationPrincipal SignedIn who,
      RedirectAttributes flash) {
    boolean strongman = contests.contest(id).said().sport() == Contest.Sport.STRONGMAN;
    RivalSheet sheet = RivalSheet.of(form.getOrDefault(LIST, ""));
    Typed typed = new Typed(form);
    check(typed, sheet, athletes.countOf(id));
    if (typed.fine()) {
      flash.addFlashAttribute("said", takenIn.take(id, sheet, who));
      return new ModelAndView("redirect:/contests/" + id + (strongman ? "/events" : "/day"));
    }
    ModelAndView page = strongman ? new ModelAndView("platform/events", Map.of("view", events.view(id, EventsPages.Wanted.of(null, null)),
        "typed", typed.fields(), "errors", typed.errors()))
        : new ModelAndView(DayPages.TABLE, tables.model(id, DayPages.Wanted.refused(null, typed)));
    page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
    return page;
  }

  private static void check(Typed typed, RivalSheet sheet, int there) {
    if (sheet.people().isEmpty() && sheet.faults().isEmpty()) {
      typed.wrong(LIST, "Write a line for each: name, sex, class, body mass, flight, lot, expected total. Only the name is needed.");
    } else if (!sheet.faults().isEmpty()) {
      typed.wrong(LIST, "Nothing was added yet. " + String.join(" ", sheet.faults().subList(0, Math.min(TOLD, sheet.faults().size()))));
    } else if (there + sheet.people().size() > MOST_ATHLETES) {
      typed.wrong(LIST, "A contest has at most " + MOST_ATHLETES + " athletes here: " + there + " are there, and the list has "
          + sheet.people().size() + ".");
    }
  }
}
