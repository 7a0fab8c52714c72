package org.yarbel.web.club;

import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.yarbel.web.account.SignedIn;

/** What stands around every page: the club, who is signed in, and what they may open. */
@ControllerAdvice(annotations = Controller.class)
class Shell {
  private final ClubRepository clubs;

  Shell(ClubRepository clubs) {
    this.clubs = clubs;
  }

  /** The frame of a page. */
  record Frame(String club, String person, boolean coach, @Nullable Long lifterId) {}

  @ModelAttribute("frame")
  @Nullable Frame frame(@AuthenticationPrincipal @Nullable SignedIn who) {
    return who == null
        ? null
        : new Frame(clubs.findById(who.clubId()).map(Club::name).orElse(""), who.name(), who.coach(), who.lifterId());
  }
}
