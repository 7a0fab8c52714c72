package org.yarbel.web.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A new password for oneself; a lifter's first one was chosen by the coach. */
@Controller
class PasswordController {
  private final Accounts accounts;
  private final SignInLimits limits;

  PasswordController(Accounts accounts, SignInLimits limits) {
    this.accounts = accounts;
    this.limits = limits;
  }

  @GetMapping("/account")
  ModelAndView page() {
    return new ModelAndView("account/password", Map.of("errors", Map.of()));
  }

  @PostMapping("/account")
  ModelAndView change(@RequestParam(defaultValue = "") String current, @RequestParam(defaultValue = "") String password,
      @AuthenticationPrincipal SignedIn who, HttpServletRequest request, RedirectAttributes flash) {
    Map<String, String> errors = new LinkedHashMap<>();
    SignInDetails.checkPassword(password, errors);
    if (limits.exceeded(who.getUsername(), request.getRemoteAddr())) {
      errors.put("current", "Too many attempts failed. Wait a quarter of an hour, then try again.");
    } else if (!accounts.matches(who, current)) {
      limits.failed(who.getUsername(), request.getRemoteAddr());
      errors.put("current", "This is not the password you sign in with.");
    }
    if (!errors.isEmpty()) {
      ModelAndView again = new ModelAndView("account/password", Map.of("errors", errors));
      again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
      return again;
    }
    accounts.changePassword(who, password, request.getSession().getId());
    flash.addFlashAttribute("said", "The password is changed. Everywhere else you are signed out.");
    return new ModelAndView("redirect:/account");
  }
}
