package org.yarbel.web.platform;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.core.card.RampStyle;
import org.yarbel.core.contest.WarmUpClock;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.form.Typed;
import org.yarbel.web.who.SignedIn;

/** The warm-up room: when each step of each lifter is due, and what shifts it. */
@Controller
class RoomController {
  private static final int MOST_LATE = (int) WarmUpClock.LONGEST_DELAY.toMinutes();
  private static final int MOST_STEPS = RampStyle.MOST_STEPS;
  private static final String SHARED = "shared";
  private static final String EARLY = "[-−]";

  private final RoomPages pages;
  private final DaySettings settings;
  private final DayGuard guard;
  private final Contests contests;

  RoomController(RoomPages pages, DaySettings settings, DayGuard guard, Contests contests) {
    this.pages = pages;
    this.settings = settings;
    this.guard = guard;
    this.contests = contests;
  }

  @GetMapping("/contests/{id}/warm-up")
  String room(@PathVariable long id, @RequestParam(defaultValue = "") String shared, HtmxRequest htmx, HttpServletResponse response,
      Model model) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    model.addAttribute("room", pages.view(id, !shared.isEmpty()));
    return htmx.isHtmxRequest() ? "platform/room :: room" : "platform/room";
  }

  /** How late all of it is. */
  @PostMapping("/contests/{id}/warm-up/late")
  ModelAndView late(@PathVariable long id, @RequestParam Map<String, String> form, HtmxRequest htmx) {
    contests.contest(id);
    Typed typed = new Typed(form);
    boolean early = typed.text("minutes").matches(EARLY + ".*");
    Integer minutes = new Typed(Map.of("minutes", typed.text("minutes").replaceFirst(EARLY, ""))).whole("minutes", "The minutes", 0,
        MOST_LATE);
    if (minutes == null) {
      return answer(id, typed, htmx, HttpStatus.UNPROCESSABLE_CONTENT,
          "Write how many minutes late it is, from -" + MOST_LATE + " to " + MOST_LATE + ".");
    }
    settings.late(id, early ? -minutes : minutes);
    return answer(id, typed, htmx, HttpStatus.OK, null);
  }

  private ModelAndView answer(long id, Typed typed, HtmxRequest htmx, HttpStatus status, @Nullable String wrong) {
    boolean shared = typed.ticked(SHARED);
    if (!htmx.isHtmxRequest() && wrong == null) {
      return new ModelAndView("redirect:/contests/" + id + "/warm-up" + (shared ? "?shared=yes" : ""));
    }
    ModelAndView page = new ModelAndView(htmx.isHtmxRequest() ? "platform/room :: room" : "platform/room");
    page.addObject("room", pages.view(id, shared));
    page.addObject("wrong", wrong);
    page.setStatus(status);
    return page;
  }

  /** Where the warm-up of somebody stands: how many are ahead, what is lifted. */
  @PostMapping("/contests/{id}/warm-up/{athlete}")
  ModelAndView warm(@PathVariable long id, @PathVariable long athlete, @RequestParam Map<String, String> form,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx) {
    guard.see(id, athlete, who);
    Typed typed = new Typed(form);
    Integer ahead = typed.whole("ahead", "The attempts ahead", 0, WarmUpClock.MOST_AHEAD);
    String lift = typed.text("lift");
    if (!typed.fine() || !contests.contest(id).daySheet().rules().platform().lifts().contains(lift)) {
      return answer(id, typed, htmx, HttpStatus.UNPROCESSABLE_CONTENT, "From 0 to " + WarmUpClock.MOST_AHEAD + " attempts may be ahead.");
    }
    Integer step = typed.whole("toggle", "The step", 0, MOST_STEPS);
    if (step != null) {
      settings.lifted(id, athlete, lift, step);
    } else {
      settings.warmUp(id, athlete, lift, ahead, typed.has("done") ? steps(typed.text("done")) : null);
    }
    return answer(id, typed, htmx, HttpStatus.OK, null);
  }

  private static List<Integer> steps(String text) {
    List<Integer> steps = new ArrayList<>();
    for (String one : text.split(",")) {
      if (one.matches("\\d{1,2}") && Integer.parseInt(one) < MOST_STEPS && !steps.contains(Integer.valueOf(one))) {
        steps.add(Integer.valueOf(one));
      }
    }
    return steps;
  }
}
