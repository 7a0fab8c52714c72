package org.yarbel.web.club;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.yarbel.web.edge.BackupWatch;
import org.yarbel.web.edge.DiskWatch;
import org.yarbel.web.who.SignedIn;

/** What stands around every page: the club, who is signed in, and what they may open. */
@ControllerAdvice(annotations = Controller.class)
class Shell {
  private final ClubRepository clubs;
  private final ClubCache cache;
  private final OwnLifters own;
  private final DiskWatch disk;
  private final BackupWatch backups;

  Shell(ClubRepository clubs, ClubCache cache, OwnLifters own, DiskWatch disk, BackupWatch backups) {
    this.backups = backups;
    this.own = own;
    this.clubs = clubs;
    this.cache = cache;
    this.disk = disk;
  }

  private @Nullable String warning(SignedIn who) {
    return who.staff() ? disk.words().or(() -> who.owns() ? backups.words() : Optional.empty()).orElse(null) : null;
  }

  /** The frame of a page. */
  public record Frame(String club, String person, boolean coach, boolean plans, boolean owns,
      @Nullable Long lifterId, long account, boolean choosesLifters, boolean ownLifters, @Nullable String warning,
          @Nullable String backup) {}

  @ModelAttribute("frame")
  @Nullable Frame frame(@AuthenticationPrincipal @Nullable SignedIn who, HttpServletRequest request) {
    // the page of what is wrong has no frame: it asks the database nothing
    return who == null || request.getDispatcherType() == DispatcherType.ERROR
        ? null
        : new Frame(cache.of(ClubCache.What.ITSELF, () -> clubs.findById(who.clubId())).map(Club::name).orElse(""), who.name(),
            who.staff(), who.plans(), who.owns(), who.lifterId(), who.accountId(), own.any(), own.coach() != OwnLifters.EVERYBODY,
                warning(who),
            who.owns() ? backups.told().orElse(null) : null);
  }
}
