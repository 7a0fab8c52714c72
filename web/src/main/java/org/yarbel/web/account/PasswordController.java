package org.yarbel.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.club.Club;
import org.yarbel.web.club.ClubRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** One's own account: another password, and where one is signed in. A lifter's first password was chosen by the coach. */
@Controller
class PasswordController {
  private final Accounts accounts;
  private final Persons persons;
  private final SecondSteps steps;
  private final SignIns signIns;
  private final SignInLimits limits;
  private final PasswordRules rules;
  private final ClubRepository clubs;
  private final SecurityLog log;

  PasswordController(Accounts accounts, Persons persons, SecondSteps steps, SignIns signIns, SignInLimits limits, PasswordRules rules,
      ClubRepository clubs, SecurityLog log) {
    this.accounts = accounts;
    this.persons = persons;
    this.steps = steps;
    this.signIns = signIns;
    this.limits = limits;
    this.rules = rules;
    this.clubs = clubs;
    this.log = log;
  }

  @GetMapping("/account")
  ModelAndView page(@AuthenticationPrincipal SignedIn who, HttpSession session) {
    return new ModelAndView("account/password", shown(who, session, Map.of()));
  }

  private Map<String, Object> shown(SignedIn who, HttpSession session, Map<String, String> errors) {
    return Map.of("errors", errors, "has", steps.of(who.personId()), "clubs", accounts.memberships(who.personId()), "account",
        who.accountId(), "devices", signIns.of(who, here(session)).stream()
        .map(device -> DeviceView.of(device, club(who).zone())).toList());
  }

  /** A device as it is shown. */
  record DeviceView(long id, String words, String since, String seen, boolean here) {
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

    static DeviceView of(SignIns.Device device, ZoneId zone) {
      return new DeviceView(device.id(), device.browser() + ", from " + device.address(), TIME.format(device.begun().atZone(zone)),
          TIME.format(device.seen().atZone(zone)), device.here());
    }
  }

  private Club club(SignedIn who) {
    return clubs.findById(who.clubId()).orElseThrow(NotFound::new);
  }

  private static long here(HttpSession session) {
    return session.getAttribute(Entrance.SIGN_IN) instanceof Long id ? id : 0;
  }

  @PostMapping("/account")
  ModelAndView change(@RequestParam(defaultValue = "") String current, @RequestParam(defaultValue = "") String password,
      @AuthenticationPrincipal SignedIn who, HttpServletRequest request, RedirectAttributes flash) {
    Map<String, String> errors = new LinkedHashMap<>();
    rules.wrong(password, List.of(who.name(), who.getUsername(), club(who).name()))
        .ifPresent(sentence -> errors.put("password", sentence));
    if (!limits.reserve(who.getUsername(), request.getRemoteAddr(), true)) {
      log.note(Event.LIMIT_MET, who.clubId(), who.accountId(), "changing the password");
      errors.put("current", Entrance.Refusal.TOO_OFTEN.words());
    } else if (!accounts.matches(who, current)) {
      errors.put("current", "This is not the password you sign in with.");
    } else {
      limits.succeeded(who.getUsername(), request.getRemoteAddr());
    }
    if (!errors.isEmpty()) {
      return new ModelAndView("account/password", shown(who, request.getSession(), errors), HttpStatus.UNPROCESSABLE_CONTENT);
    }
    persons.change(who, password, here(request.getSession()));
    flash.addFlashAttribute("said", "The password is changed. Everywhere else you are signed out.");
    return new ModelAndView("redirect:/account");
  }

  /** Signs out a device of one's own. */
  @PostMapping("/account/devices/{id}")
  String end(@PathVariable long id, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    if (!signIns.end(who, id)) {
      throw new NotFound();
    }
    log.note(Event.SIGN_IN_ENDED, who.clubId(), who.accountId(), "by themselves");
    flash.addFlashAttribute("said", "Signed out there.");
    return "redirect:/account";
  }

  /** Signs out everywhere else. */
  @PostMapping("/account/devices")
  String endOthers(@AuthenticationPrincipal SignedIn who, HttpSession session, RedirectAttributes flash) {
    signIns.endOthers(who.personId(), here(session));
    log.note(Event.SIGN_IN_ENDED, who.clubId(), who.accountId(), "everywhere else, by themselves");
    flash.addFlashAttribute("said", "Everywhere else you are signed out.");
    return "redirect:/account";
  }
}
