package org.yarbel.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.edge.Address;
import org.yarbel.web.edge.QrCode;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** The second step: asked for after the password, and chosen on the account's page. */
@Controller
class SecondStepController {
  private static final int MOST_TYPED = 40;
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

  private final Entrance entrance;
  private final SecondSteps steps;
  private final Passkeys passkeys;
  private final Accounts accounts;
  private final SignInLimits limits;
  private final Address address;
  private final SecurityLog log;

  SecondStepController(Entrance entrance, SecondSteps steps, Passkeys passkeys, Accounts accounts, SignInLimits limits, Address address,
      SecurityLog log) {
    this.entrance = entrance;
    this.steps = steps;
    this.passkeys = passkeys;
    this.accounts = accounts;
    this.limits = limits;
    this.address = address;
    this.log = log;
  }

  @GetMapping(Entrance.SECOND)
  ModelAndView ask(HttpServletRequest request) {
    return entrance.waiting(request).map(who -> asked(who, null)).orElseGet(() -> new ModelAndView("redirect:/login"));
  }

  private ModelAndView asked(SignedIn who, @Nullable String wrong) {
    ModelAndView page = new ModelAndView("account/second", "has", steps.of(who.personId()));
    page.addObject("wrong", wrong);
    page.addObject("keys", passkeys.possible());
    return page;
  }

  @PostMapping(Entrance.SECOND)
  ModelAndView take(@RequestParam(defaultValue = "") String code, HttpServletRequest request, HttpServletResponse response) {
    SignedIn who = entrance.waiting(request).orElse(null);
    if (who == null) {
      return new ModelAndView("redirect:/login");
    }
    String counted = "second step of " + who.personId();
    if (!limits.reserve(counted, request.getRemoteAddr(), false)) {
      log.note(Event.LIMIT_MET, who.clubId(), who.accountId(), "second step");
      return refused(who, Entrance.Refusal.TOO_OFTEN.words(), HttpStatus.TOO_MANY_REQUESTS);
    }
    if (code.length() > MOST_TYPED || !steps.passes(who.personId(), code)) {
      log.note(Event.SIGN_IN_REFUSED, who.clubId(), who.accountId(), "second step");
      return refused(who, "This is not the code of the moment, or it was used already. Wait for the next one and try again.",
          HttpStatus.UNAUTHORIZED);
    }
    limits.succeeded(counted, request.getRemoteAddr());
    return new ModelAndView("redirect:" + entrance.admit(request, response, who));
  }

  private ModelAndView refused(SignedIn who, String wrong, HttpStatus status) {
    ModelAndView page = asked(who, wrong);
    page.setStatus(status);
    return page;
  }

  @GetMapping(Entrance.STEPS)
  ModelAndView page(@AuthenticationPrincipal SignedIn who, HttpServletRequest request) {
    return new ModelAndView("account/steps", shown(who, request, Map.of()));
  }

  /** A passkey as it is shown. */
  record KeyView(String id, String label, String since) {}

  private Map<String, Object> shown(SignedIn who, HttpServletRequest request, Map<String, String> errors) {
    SecondSteps.Has has = steps.of(who.personId());
    Map<String, Object> model = new HashMap<>(Map.of("has", has, "errors", errors, "possible", passkeys.possible(),
        "must", who.owns() && address.reachable() && !has.any(), "keys", steps.passkeys(who.personId()).stream()
            .map(key -> new KeyView(key.id(), key.label(), day(key.created()))).toList()));
    model.put("fresh", Entrance.fresh(request));
    if (!has.codes() && Entrance.fresh(request)) {
      String secret = steps.waiting(who.personId());
      model.put("secret", secret.replaceAll("(.{4})(?=.)", "$1 "));
      model.put("qr", QrCode.of(OneTimeCode.address(secret, accounts.memberships(who.personId()).stream()
          .filter(one -> one.clubId() == who.clubId()).map(Accounts.Membership::club).findFirst().orElse(""), who.getUsername())));
    }
    return model;
  }

  private static String day(@Nullable LocalDateTime since) {
    return since == null ? "" : DAY.format(since);
  }

  /** The password once more, before anything is added. */
  @PostMapping("/account/steps/sure")
  ModelAndView sure(@RequestParam(defaultValue = "") String current, @AuthenticationPrincipal SignedIn who, HttpServletRequest request) {
    return sure(who, current, request, "sure", () -> Entrance.show(request.getSession()));
  }

  /** Takes the first code of a phone; with it come recovery codes. */
  @PostMapping("/account/steps/codes")
  ModelAndView prove(@RequestParam(defaultValue = "") String code, @AuthenticationPrincipal SignedIn who, HttpServletRequest request,
      RedirectAttributes flash) {
    if (!Entrance.fresh(request)) {
      return wrong(who, request, "sure", "Write your password first: it was some time ago.");
    }
    if (!mayTry(who, request)) {
      return wrong(who, request, "code", Entrance.Refusal.TOO_OFTEN.words());
    }
    if (code.length() > MOST_TYPED || !steps.prove(who, code)) {
      return wrong(who, request, "code",
          "This is not the code the phone shows at this moment. Is its clock right? Wait for the next one and try "
          + "again.");
    }
    done(who, request);
    flash.addFlashAttribute("said", "From now on a code of the phone is asked for after the password.");
    flash.addFlashAttribute("recovery", steps.recovery(who));
    return new ModelAndView("redirect:" + Entrance.STEPS);
  }

  /** New recovery codes in place of the old ones. */
  @PostMapping("/account/steps/recovery")
  ModelAndView recovery(@RequestParam(defaultValue = "") String current, @AuthenticationPrincipal SignedIn who, HttpServletRequest request,
      RedirectAttributes flash) {
    return sure(who, current, request, "recovery", () -> {
      flash.addFlashAttribute("said", "The recovery codes of before are worth nothing any more.");
      flash.addFlashAttribute("recovery", steps.recovery(who));
    });
  }

  @PostMapping("/account/steps/codes/remove")
  ModelAndView removeCodes(@RequestParam(defaultValue = "") String current, @AuthenticationPrincipal SignedIn who,
      HttpServletRequest request, RedirectAttributes flash) {
    return sure(who, current, request, "codes", () -> {
      steps.removeCodes(who);
      flash.addFlashAttribute("said", "The phone's codes are asked for no more. Set them up again at any time.");
    });
  }

  @PostMapping("/account/steps/keys/{id}/remove")
  ModelAndView removeKey(@PathVariable String id, @RequestParam(defaultValue = "") String current, @AuthenticationPrincipal SignedIn who,
      HttpServletRequest request, RedirectAttributes flash) {
    if (steps.passkeys(who.personId()).stream().noneMatch(key -> key.id().equals(id))) {
      throw new NotFound();
    }
    return sure(who, current, request, "key." + id, () -> {
      steps.removePasskey(who, id);
      flash.addFlashAttribute("said", "The passkey lets nobody in any more.");
    });
  }

  /** Done with the password in force alone: a phone left on a bench opens no door. */
  private ModelAndView sure(SignedIn who, String current, HttpServletRequest request, String field, Runnable work) {
    if (!mayTry(who, request)) {
      return wrong(who, request, field, Entrance.Refusal.TOO_OFTEN.words());
    }
    if (!accounts.matches(who, current)) {
      return wrong(who, request, field, "This is not the password you sign in with.");
    }
    done(who, request);
    work.run();
    return new ModelAndView("redirect:" + Entrance.STEPS);
  }

  private boolean mayTry(SignedIn who, HttpServletRequest request) {
    boolean may = limits.reserve(who.getUsername(), request.getRemoteAddr(), true);
    if (!may) {
      log.note(Event.LIMIT_MET, who.clubId(), who.accountId(), "second step of their own");
    }
    return may;
  }

  private void done(SignedIn who, HttpServletRequest request) {
    limits.succeeded(who.getUsername(), request.getRemoteAddr());
  }

  private ModelAndView wrong(SignedIn who, HttpServletRequest request, String field, String sentence) {
    ModelAndView page = new ModelAndView("account/steps", shown(who, request, Map.of(field, sentence)));
    page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
    return page;
  }
}
