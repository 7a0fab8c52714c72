package org.yarbel.web.floor;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.springframework.data.domain.Limit;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.yarbel.web.account.SignedIn;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.runway.Waiting;

/** The Floor for coaches; for a lifter, what they train next. */
@Controller
class FloorController {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);
  private static final int NEXT_SESSIONS = 6;
  private static final int CONTEST_WEEKS = 10;

  private final FloorService floor;
  private final TrainingSessionRepository sessions;
  private final Waiting waiting;
  private final ClubClock clock;

  FloorController(FloorService floor, TrainingSessionRepository sessions, Waiting waiting, ClubClock clock) {
    this.waiting = waiting;
    this.floor = floor;
    this.sessions = sessions;
    this.clock = clock;
  }

  /** One of a lifter's sessions to come. */
  record Next(long sessionId, String day, boolean today) {}

  @GetMapping("/")
  String page(@RequestParam(defaultValue = "") String find, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx,
      HttpServletResponse response, Model model) {
    if (!who.coach()) {
      return "redirect:/me";
    }
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    model.addAttribute("floor", floor.floor(find.length() > 80 ? find.substring(0, 80) : find));
    if (!htmx.isHtmxRequest() && find.isBlank()) {
      model.addAttribute("coming", waiting.coming(CONTEST_WEEKS));
    }
    return htmx.isHtmxRequest() ? "floor/page :: lists" : "floor/page";
  }

  @GetMapping("/me")
  String mine(@AuthenticationPrincipal SignedIn who, Model model) {
    Long lifterId = who.lifterId();
    if (lifterId == null) {
      throw new NotFound();
    }
    List<Next> next = sessions.findByLifterIdAndDayGreaterThanEqualOrderByDay(lifterId, clock.today(), Limit.of(NEXT_SESSIONS))
        .stream()
        .map(s -> new Next(s.id(), DAY.format(s.day()), s.day().equals(clock.today())))
        .toList();
    model.addAttribute("next", next);
    model.addAttribute("lifterId", lifterId);
    return "floor/me";
  }
}
