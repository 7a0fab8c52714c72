package org.yarbel.web.call;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.group.GroupMembers;
import org.yarbel.web.who.SignedIn;

/** The weekly look: one lifter after another by keys, and who is still to be looked at. */
@Controller
class LookController {
  private static final int MOST_WORD = 2_000;

  private final LookService service;
  private final LookQueue queue;
  private final CallPages calls;
  private final GroupMembers groups;
  private final ClubClock clock;

  LookController(LookService service, LookQueue queue, CallPages calls, GroupMembers groups, ClubClock clock) {
    this.service = service;
    this.queue = queue;
    this.calls = calls;
    this.groups = groups;
    this.clock = clock;
  }

  @GetMapping("/looks")
  String list(@RequestParam(defaultValue = "0") long group, @RequestParam(defaultValue = "all") String only, Model model) {
    LookQueue.Chosen chosen = new LookQueue.Chosen(group, LookQueue.Only.of(only));
    LocalDate monday = queue.monday();
    model.addAttribute("all", queue.of(monday, chosen));
    model.addAttribute("week", LookService.week(monday));
    chosen(model, chosen);
    return "call/looks";
  }

  private void chosen(Model model, LookQueue.Chosen chosen) {
    model.addAttribute("groups", groups.all());
    model.addAttribute("chosen", chosen);
    model.addAttribute("onlys", LookQueue.Only.values());
  }

  @GetMapping("/lifters/{id}/look")
  String look(@PathVariable long id, @RequestParam(defaultValue = "") String week, @RequestParam(defaultValue = "0") long group,
      @RequestParam(defaultValue = "all") String only, Model model) {
    LookQueue.Chosen chosen = new LookQueue.Chosen(group, LookQueue.Only.of(only));
    LocalDate monday = monday(week);
    LookView view = service.look(id, monday);
    model.addAttribute("look", view);
    model.addAttribute("calls", calls.openOf(service.lifter(id)));
    model.addAttribute("decided", calls.decidedOf(service.lifter(id)));
    model.addAttribute("place", queue.place(queue.of(monday, chosen), id));
    chosen(model, chosen);
    return "call/look";
  }

  /** The week that is asked for, else the one that is looked at now; not further back than the log is read. */
  private LocalDate monday(String week) {
    LocalDate now = queue.monday();
    try {
      LocalDate asked = week.isEmpty() ? now : Macrocycle.monday(LocalDate.parse(week));
      LocalDate first = Macrocycle.monday(clock.today()).minusWeeks(PictureReader.WEEKS_BACK - 1L);
      LocalDate last = Macrocycle.monday(clock.today());
      boolean seen = !asked.isBefore(first) && !asked.isAfter(last);
      return seen ? asked : now;
    } catch (DateTimeParseException wrong) {
      return now;
    }
  }

  @PostMapping("/lifters/{id}/look")
  String send(@PathVariable long id, @RequestParam(defaultValue = "") String week, @RequestParam(defaultValue = "") String word,
      @RequestParam(defaultValue = "0") long group, @RequestParam(defaultValue = "all") String only, @AuthenticationPrincipal SignedIn who,
      RedirectAttributes flash) {
    String said = word.strip();
    service.send(id, monday(week), said.substring(0, Math.min(MOST_WORD, said.length())), who);
    LookQueue.Chosen chosen = new LookQueue.Chosen(group, LookQueue.Only.of(only));
    List<LookQueue.Waiting> all = queue.of(monday(week), chosen);
    LookQueue.Place place = queue.place(all, id);
    LookQueue.Waiting next = place.next();
    flash.addFlashAttribute("said", service.lifter(id).name() + " has " + (said.isEmpty() ? "the week." : "the week and your word."));
    return next == null ? "redirect:/looks?" + chosen.query() : "redirect:/lifters/" + next.lifterId() + "/look?" + chosen.query();
  }
}
