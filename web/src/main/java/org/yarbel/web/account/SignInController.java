package org.yarbel.web.account;

import jakarta.servlet.http.HttpServletRequest;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.yarbel.web.YarbelProperties;
import org.yarbel.web.who.SignedIn;

/** The sign-in page. Spring Security takes what is sent from it. */
@Controller
class SignInController {
  private final Accounts accounts;
  private final YarbelProperties properties;

  SignInController(Accounts accounts, YarbelProperties properties) {
    this.accounts = accounts;
    this.properties = properties;
  }

  @GetMapping("/login")
  String page(@RequestParam(required = false) @Nullable String out, @AuthenticationPrincipal @Nullable SignedIn who, Model model) {
    if (who != null) {
      return "redirect:/";
    }
    if (accounts.none()) {
      return "redirect:/setup";
    }
    String told = model.getAttribute("message") instanceof String words ? words : null;
    return form(model, "", out == null ? told : "You are signed out.", false);
  }

  /** The form once more, after a try that was refused. */
  @RequestMapping(Entrance.AGAIN)
  String again(HttpServletRequest request, Model model) {
    if (!(request.getAttribute(Entrance.WHY) instanceof Entrance.Refusal why)) {
      return "redirect:/login";
    }
    return form(model, Entrance.typedEmail(request), why.words(), true);
  }

  private String form(Model model, String email, @Nullable String message, boolean refused) {
    model.addAttribute("email", email);
    model.addAttribute("message", message);
    model.addAttribute("refused", refused);
    model.addAttribute("demo", properties.demo());
    return "account/login";
  }
}
