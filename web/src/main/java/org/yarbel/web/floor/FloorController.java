package org.yarbel.web.floor;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.yarbel.web.call.CallCounts;
import org.yarbel.web.call.LookQueue;
import org.yarbel.web.call.Told;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.edge.HouseSign;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.runway.Waiting;
import org.yarbel.web.session.SessionNotes;
import org.yarbel.web.who.SignedIn;

/** The Floor for coaches; for a lifter, what they train next. */
@Controller
class FloorController {
  private static final int CONTEST_WEEKS = 10;

  private final FloorService floor;
  private final MyTraining training;
  private final Waiting waiting;
  private final SessionNotes notes;
  private final Told told;
  private final CallCounts calls;
  private final LookQueue looks;
  private final ClubClock clock;
  private final HouseSign house;
  private final Contests contests;

  FloorController(FloorService floor, MyTraining training, Waiting waiting, SessionNotes notes, Told told, CallCounts calls,
      LookQueue looks, ClubClock clock, HouseSign house, Contests contests) {
    this.contests = contests;
    this.house = house;
    this.notes = notes;
    this.told = told;
    this.calls = calls;
    this.looks = looks;
    this.clock = clock;
    this.waiting = waiting;
    this.floor = floor;
    this.training = training;
  }

  @GetMapping("/")
  String page(@RequestParam(defaultValue = "") String find, @RequestParam(defaultValue = "false") boolean all,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response, Model model) {
    if (!who.staff()) {
      return "redirect:/me";
    }
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    model.addAttribute("floor", floor.floor(find.length() > 80 ? find.substring(0, 80) : find, all));
    boolean whole = !htmx.isHtmxRequest() && find.isBlank();
    LookQueue.Sent sent = whole ? looks.sent() : null;
    model.addAttribute("waits", sent == null ? calls.byLifter() : sent.calls());
    if (whole) {
      model.addAttribute("looks", sent);
      model.addAttribute("sign", house.sign().orElse(null));
      model.addAttribute("coming", waiting.coming(CONTEST_WEEKS));
      model.addAttribute("unread", notes.unreadByCoaches().stream()
          .map(one -> FloorView.NewWord.of(one.getWord(), one.getName(), clock.zone())).toList());
    }
    return htmx.isHtmxRequest() ? "floor/lists :: lists" : "floor/page";
  }

  @GetMapping("/me")
  String mine(@AuthenticationPrincipal SignedIn who, Model model) {
    Long lifterId = who.lifterId();
    if (lifterId == null) {
      throw new NotFound();
    }
    model.addAttribute("mine", training.of(lifterId));
    model.addAttribute("unread", notes.unreadBy(lifterId).stream()
        .map(one -> FloorView.NewWord.of(one, one.author(), clock.zone())).toList());
    model.addAttribute("changed", told.of(lifterId));
    model.addAttribute("lifterId", lifterId);
    model.addAttribute("contests", contests.near(lifterId, clock.today()));
    return "floor/me";
  }
}
