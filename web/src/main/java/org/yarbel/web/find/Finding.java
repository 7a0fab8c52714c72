package org.yarbel.web.find;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.club.Findable;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.contest.ContestRepository;
import org.yarbel.web.lifter.LifterRepository;

/** Looks for what is called so, a few of each kind, in a fixed number of queries. */
@Service
class Finding {
  private static final Limit MOST = Limit.of(6);
  private static final int MOST_LIFTS = 5;
  private static final List<Findable.Found> PAGES = List.of(page("Floor", "/", "who trains today"), page("New lifter", "/lifters/new", "take somebody on"),
      page("Groups", "/groups", "lifters written together"), page("Contests", "/contests", "dates, rules, who goes"),
      page("Library", "/library", "sessions, weeks, blocks to use again"), page("Lifts", "/lifts", "the catalogue and your own"),
      page("Checks", "/checks", "what the checks look for, and their figures"), page("Kit room", "/kit", "bars, plates, implements"),
      page("Workbench", "/workbench", "quick sums"), page("Keys", "/keys", "all keys"), page("My account", "/account", "your password"));

  private final LifterRepository lifters;
  private final ContestRepository contests;
  private final List<Findable> screens;
  private final Lifts lifts;

  Finding(LifterRepository lifters, ContestRepository contests, List<Findable> screens, Lifts lifts) {
    this.lifters = lifters;
    this.contests = contests;
    this.screens = List.copyOf(screens);
    this.lifts = lifts;
  }

  private static Findable.Found page(String name, String address, String more) {
    return new Findable.Found("page", name, address, more);
  }

  /** What is called so; nothing for an empty text. */
  @Transactional(readOnly = true)
  List<Findable.Found> of(String typed) {
    if (typed.isEmpty()) {
      return List.of();
    }
    String part = typed.toLowerCase(Locale.ROOT);
    String like = part.replace("!", "!!").replace("%", "!%").replace("_", "!_");
    List<Findable.Found> found = new ArrayList<>();
    lifters.named(like, MOST).forEach(lifter -> {
      found.add(new Findable.Found("lifter", lifter.name(), "/lifters/" + lifter.id() + "/week", "week board"));
      found.add(new Findable.Found("lifter", lifter.name(), "/lifters/" + lifter.id(), "numbers, body, places"));
    });
    contests.called(like, MOST).forEach(contest -> found.add(new Findable.Found("contest", contest.name(), "/contests/" + contest.id(), contest.day() == null
        ? "no date" : contest.day().toString())));
    screens.forEach(screen -> found.addAll(screen.called(like, MOST)));
    PAGES.stream().filter(page -> page.name().toLowerCase(Locale.ROOT).contains(part) || page.more().contains(part)).forEach(found::add);
    lifts.catalogue().all().stream().filter(lift -> lift.name().toLowerCase(Locale.ROOT).contains(part) || lift.key().startsWith(part)).limit(MOST_LIFTS)
        .forEach(lift -> found.add(new Findable.Found("lift", lift.name(), "/lifts#lift-" + lift.key(), lift.key())));
    return found;
  }
}
