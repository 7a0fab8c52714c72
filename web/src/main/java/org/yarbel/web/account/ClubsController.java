package org.yarbel.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.yarbel.web.edge.Back;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** From one club to another of the same person, without signing out; and from one's own lifters to everybody's. */
@Controller
class ClubsController {
  private final Accounts accounts;
  private final Entrance entrance;

  ClubsController(Accounts accounts, Entrance entrance) {
    this.accounts = accounts;
    this.entrance = entrance;
  }

  /** Looks at everybody's lifters, or at one's own. */
  @PostMapping("/account/lifters")
  String look(@RequestParam(defaultValue = "false") boolean all, @RequestParam(defaultValue = "/") String back,
      @AuthenticationPrincipal SignedIn who) {
    accounts.look(who, all);
    return "redirect:" + Back.to(back);
  }

  @PostMapping("/account/clubs/{id}")
  String change(@PathVariable long id, @AuthenticationPrincipal SignedIn who, HttpServletRequest request, HttpServletResponse response) {
    SignedIn to = accounts.ofPerson(who.personId()).stream().filter(one -> one.accountId() == id).findFirst().orElseThrow(NotFound::new);
    if (to.accountId() != who.accountId()) {
      entrance.change(request, response, who, to);
    }
    return "redirect:/";
  }
}
