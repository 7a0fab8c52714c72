package org.yarbel.web.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.Map;
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

/** The first visit: makes the club and its owner's account, for whoever has the code the launcher printed. */
@Controller
class SetupController {
  private final Accounts accounts;
  private final Owner owner;
  private final YarbelProperties properties;

  SetupController(Accounts accounts, Owner owner, YarbelProperties properties) {
    this.accounts = accounts;
    this.owner = owner;
    this.properties = properties;
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
  ModelAndView create(@ModelAttribute Form form) {
    refuseWhenDone();
    Map<String, String> errors = check(form);
    if (!errors.isEmpty()) {
      ModelAndView again = new ModelAndView("account/setup", Map.of("form", form, "errors", errors));
      again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
      return again;
    }
    owner.create(owner.newClubId(), form.club(), ZoneId.of(form.zone()), PlaceKit.of(Kit.standard(MassUnit.valueOf(form.unit()))), form.name(),
        form.email(), form.password());
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
    SignInDetails.check(form.email(), form.password(), errors);
    return errors;
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }
}
