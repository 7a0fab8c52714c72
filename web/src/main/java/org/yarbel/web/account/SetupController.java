package org.yarbel.web.account;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.YarbelProperties;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.audit.SecurityLog;

/** The first visit: makes the club and its owner's account, for whoever has the code the launcher printed. */
@Controller
class SetupController {
  /** No address of a person. */
  private static final String COUNTED_AS = "first visit";

  private final Accounts accounts;
  private final Owner owner;
  private final SignInLimits limits;
  private final PasswordRules passwords;
  private final YarbelProperties properties;
  private final SecurityLog log;

  SetupController(Accounts accounts, Owner owner, SignInLimits limits, PasswordRules passwords, YarbelProperties properties,
      SecurityLog log) {
    this.accounts = accounts;
    this.owner = owner;
    this.limits = limits;
    this.passwords = passwords;
    this.properties = properties;
    this.log = log;
  }

  /** What was typed. */
  record Form(String code, String club, String unit, String zone, String name, String email, String password) {
    Form {
      code = orEmpty(code);
      club = orEmpty(club);
      unit = orEmpty(unit);
      zone = orEmpty(zone);
      name = orEmpty(name);
      email = orEmpty(email);
      password = password == null ? "" : password;
    }

    private static String orEmpty(String text) {
      return text == null ? "" : text.strip();
    }
  }

  @GetMapping("/setup")
  String page(Model model) {
    refuseWhenDone();
    model.addAttribute("form", new Form("", "", "KG", ZoneId.systemDefault().getId(), "", "", ""));
    model.addAttribute("errors", Map.of());
    return "account/setup";
  }

  @PostMapping("/setup")
  ModelAndView create(@ModelAttribute Form form, HttpServletRequest request) {
    refuseWhenDone();
    Map<String, String> errors = limits.reserve(COUNTED_AS, request.getRemoteAddr(), false) ? check(form)
        : new LinkedHashMap<>(Map.of("code", "Too many codes were tried. Wait a quarter of an hour, then try again."));
    if (!errors.containsKey("code")) {
      // whoever has the code guesses nothing, however often the rest is not right yet
      limits.succeeded(COUNTED_AS, request.getRemoteAddr());
    }
    if (!errors.isEmpty()) {
      ModelAndView again = new ModelAndView("account/setup", Map.of("form", form, "errors", errors));
      again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
      return again;
    }
    try {
      owner.begin(owner.newClubId(), new Owner.Beginning(form.club(), ZoneId.of(form.zone()),
          PlaceKit.of(Kit.standard(MassUnit.valueOf(form.unit()))), form.name(), form.email(), form.password()));
    } catch (DuplicateKeyException somebodyWasFirst) {
      throw new ResponseStatusException(HttpStatus.NOT_FOUND);
    }
    log.note(Event.FIRST_VISIT, "the club is begun");
    return new ModelAndView("redirect:/login");
  }

  private void refuseWhenDone() {
    if (!accounts.none()) {
      throw new ResponseStatusException(HttpStatus.NOT_FOUND);
    }
  }

  private Map<String, String> check(Form form) {
    Map<String, String> errors = new LinkedHashMap<>();
    String code = properties.setupCode();
    if (code == null || !MessageDigest.isEqual(bytes(code), bytes(form.code()))) {
      log.note(Event.SIGN_IN_REFUSED, "a wrong code of the first visit");
      errors.put("code", "This is not the code. It stands in the window where ./yarbel start runs.");
    }
    if (form.club().isEmpty() || form.club().length() > 80) {
      errors.put("club", "Write the name of the club, at most 80 characters.");
    }
    if (!form.unit().equals("KG") && !form.unit().equals("LB")) {
      errors.put("unit", "Choose kilograms or pounds.");
    }
    if (!ZoneId.getAvailableZoneIds().contains(form.zone()) && !form.zone().equals("Z")) {
      errors.put("zone", "Write a time zone such as Europe/Berlin; it decides when a day begins.");
    }
    if (form.name().isEmpty() || form.name().length() > 80) {
      errors.put("name", "Write your name, at most 80 characters.");
    }
    SignInDetails.check(form.email(), errors);
    passwords.wrong(form.password(), List.of(form.name(), form.email(), form.club()))
        .ifPresent(sentence -> errors.put("password", sentence));
    return errors;
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }
}
