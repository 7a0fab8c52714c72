package org.yarbel.web.calendar;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.edge.Address;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** The calendar's page, its file, and the private address. A lifter sees their own. */
@Controller
class CalendarController {
  private static final MediaType CALENDAR = new MediaType("text", "calendar", StandardCharsets.UTF_8);

  private final Calendars calendars;
  private final LifterRepository lifters;
  private final Address address;
  private final SecurityLog log;

  CalendarController(Calendars calendars, LifterRepository lifters, Address address, SecurityLog log) {
    this.calendars = calendars;
    this.lifters = lifters;
    this.address = address;
    this.log = log;
  }

  @GetMapping("/lifters/{id}/calendar")
  String page(@PathVariable long id, @AuthenticationPrincipal SignedIn who, Model model) {
    model.addAttribute("lifterId", id);
    model.addAttribute("lifter", lifter(id, who).name());
    LocalDate since = calendars.feedSince(id);
    model.addAttribute("since", since == null ? null : since.toString());
    return "calendar/page";
  }

  @GetMapping("/lifters/{id}/calendar.ics")
  ResponseEntity<byte[]> file(@PathVariable long id, @AuthenticationPrincipal SignedIn who) {
    lifter(id, who);
    log.note(Event.EXPORTED, who.clubId(), who.accountId(), "the calendar of lifter " + id);
    HttpHeaders headers = new HttpHeaders();
    headers.setContentType(CALENDAR);
    headers.setContentDisposition(ContentDisposition.attachment().filename("training.ics").build());
    return new ResponseEntity<>(calendars.of(id).getBytes(StandardCharsets.UTF_8), headers, HttpStatus.OK);
  }

  @PostMapping("/lifters/{id}/calendar")
  String make(@PathVariable long id, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    lifter(id, who);
    Optional<String> token = calendars.makeFeed(id, who);
    token.ifPresent(made -> {
      log.note(Event.FEED_MADE, who.clubId(), who.accountId(), "of lifter " + id);
      flash.addFlashAttribute("address", address.base() + "/feeds/" + made + ".ics");
    });
    if (token.isEmpty()) {
      flash.addFlashAttribute("said", "Ten addresses were made today, which is more than anybody needs: the last one stands. "
          + "Make another tomorrow.");
    }
    return "redirect:/lifters/" + id + "/calendar";
  }

  @PostMapping("/lifters/{id}/calendar/revoke")
  String revoke(@PathVariable long id, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    lifter(id, who);
    calendars.revoke(id);
    log.note(Event.FEED_REVOKED, who.clubId(), who.accountId(), "of lifter " + id);
    flash.addFlashAttribute("said", "The address is revoked: whoever has it reads nothing any more.");
    return "redirect:/lifters/" + id + "/calendar";
  }

  /** The calendar for whoever has the address. */
  @GetMapping("/feeds/{token}.ics")
  ResponseEntity<byte[]> feed(@PathVariable String token) {
    String calendar = calendars.byToken(token).orElseThrow(NotFound::new);
    return ResponseEntity.ok().contentType(CALENDAR).cacheControl(CacheControl.maxAge(Duration.ofMinutes(15)).cachePrivate())
        .body(calendar.getBytes(StandardCharsets.UTF_8));
  }

  private Lifter lifter(long id, SignedIn who) {
    if (!who.maySee(id)) {
      throw new NotFound();
    }
    return lifters.findById(id).orElseThrow(NotFound::new);
  }
}
