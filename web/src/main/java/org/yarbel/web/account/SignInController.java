package org.yarbel.web.account;

import jakarta.servlet.http.HttpSession;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.yarbel.web.YarbelProperties;

/** The sign-in page. Spring Security takes what is sent from it. */
@Controller
class SignInController {
  static final String TYPED_EMAIL = "typedEmail";

  private final Accounts accounts;
  private final YarbelProperties properties;

  SignInController(Accounts accounts, YarbelProperties properties) {
    this.accounts = accounts;
    this.properties = properties;
  }

  @GetMapping("/login")
  String page(
      @RequestParam(required = false) @Nullable String wrong,
      @RequestParam(required = false) @Nullable String wait,
      @RequestParam(required = false) @Nullable String out,
      HttpSession session,
      @AuthenticationPrincipal @Nullable SignedIn who,
      Model model) {
    if (who != null) {
      return "redirect:/";
    }
    if (accounts.none()) {
      return "redirect:/setup";
    }
    Object typed = session.getAttribute(TYPED_EMAIL);
    session.removeAttribute(TYPED_EMAIL);
    model.addAttribute("email", typed == null ? "" : typed);
    model.addAttribute("message", message(wrong, wait, out));
    model.addAttribute("refused", wrong != null || wait != null);
    model.addAttribute("demo", properties.demo());
    return "account/login";
  }

  private static @Nullable String message(@Nullable String wrong, @Nullable String wait, @Nullable String out) {
    if (wait != null) {
      return "Too many attempts failed. Wait a quarter of an hour, then try again.";
    }
    if (wrong != null) {
      return "The e-mail and the password do not belong together. Check both and try again.";
    }
    return out == null ? null : "You are signed out.";
  }
}
