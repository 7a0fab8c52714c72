package org.yarbel.web.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.ExtendedModelMap;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.core.contest.meet.MeetTable;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.problem.NotFound;

/**
 * A contest's day for who has the link, without signing in. Of the club those stand there whose results may be seen, by name only where
 * they let their name be seen; rivals, whom nobody asked, stand there without a name.
 */
@Controller
class SpectatorsController {
  private static final int SECRET_LETTERS = 43;

  private final DaySettings settings;
  private final ContestDays days;
  private final PlatformLog log;
  private final Shows shows;
  private final CurrentClub club;

  SpectatorsController(DaySettings settings, ContestDays days, PlatformLog log, Shows shows, CurrentClub club) {
    this.log = log;
    this.settings = settings;
    this.days = days;
    this.shows = shows;
    this.club = club;
  }

  /** One line. */
  record SeenLine(String category, String place, String name, boolean ours, List<List<AthleteView.Chip>> lifts, String sum,
      String points) {}

  @GetMapping("/c/{secret}")
  String page(@PathVariable String secret, Model model, HttpServletResponse response) {
    DaySettings.Opened opened = opened(secret, response);
    club.within(opened.club(), () -> fill(model, opened.contest()));
    model.addAttribute("address", "/c/" + secret);
    return "platform/spectators";
  }

  /** The lines where something was entered since somebody saw them, by the number of the newest entry; else nothing. */
  @GetMapping(value = "/c/{secret}", params = "seen")
  @Nullable ModelAndView since(@PathVariable String secret, @RequestParam long seen, HttpServletResponse response) {
    DaySettings.Opened opened = opened(secret, response);
    ExtendedModelMap model = new ExtendedModelMap();
    boolean news = club.within(opened.club(), () -> {
      boolean more = log.last(opened.contest()) != seen;
      if (more) {
        fill(model, opened.contest());
      }
      return more;
    });
    if (!news) {
      response.setStatus(HttpStatus.NO_CONTENT.value());
      return null;
    }
    model.addAttribute("address", "/c/" + secret);
    return new ModelAndView("platform/spectators :: lines", model);
  }

  private DaySettings.Opened opened(String secret, HttpServletResponse response) {
    if (secret.length() != SECRET_LETTERS) {
      throw new NotFound();
    }
    DaySettings.Opened opened = settings.bySecret(secret).orElseThrow(NotFound::new);
    // an address that is a key is not told to where a link leads, nor kept by anybody
    response.setHeader("Referrer-Policy", "no-referrer");
    response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
    response.setHeader("X-Robots-Tag", "noindex");
    return opened;
  }

  private void fill(Model model, long id) {
    Day day = days.day(id);
    model.addAttribute("last", log.last(id));
    Map<Long, Shows.Shown> allowed = shows.of(day.lifters().keySet());
    model.addAttribute("name", day.contest().name());
    model.addAttribute("when", DayPages.date(day.contest().day()));
    model.addAttribute("strongman", day.strongman());
    model.addAttribute("lifts", day.rules().platform().lifts().stream().map(day::lift).toList());
    model.addAttribute("formula", AthletePages.word(day));
    model.addAttribute("lines", day.strongman() ? strongman(day, allowed) : table(day, allowed));
  }

  private static boolean hidden(ContestAthlete athlete, Map<Long, Shows.Shown> allowed) {
    return athlete.ours() && !allowed.getOrDefault(athlete.lifterId(), Shows.Shown.NOTHING).results();
  }

  private static String name(Day day, ContestAthlete athlete, Map<Long, Shows.Shown> allowed, Map<String, Integer> rivals) {
    if (athlete.ours()) {
      return allowed.getOrDefault(athlete.lifterId(), Shows.Shown.NOTHING).name() ? day.name(athlete) : Day.UNNAMED;
    }
    return "rival " + rivals.merge("", 1, Integer::sum);
  }

  private static List<SeenLine> table(Day day, Map<Long, Shows.Shown> allowed) {
    List<SeenLine> lines = new ArrayList<>();
    Map<String, Integer> rivals = new HashMap<>();
    for (MeetTable.Line line : day.table().lines()) {
      ContestAthlete athlete = day.athlete(line.entrant().id());
      if (!hidden(athlete, allowed)) {
        lines.add(new SeenLine(athlete.said().category(), line.place().number() == 0 ? "" : Integer.toString(line.place().number()),
            name(day, athlete, allowed, rivals), athlete.ours(), DayPages.lifts(day, athlete), DayPages.shown(line.sum()),
            AthletePages.points(line.points())));
      }
    }
    return lines;
  }

  private static List<SeenLine> strongman(Day day, Map<Long, Shows.Shown> allowed) {
    List<SeenLine> lines = new ArrayList<>();
    Map<String, Integer> rivals = new HashMap<>();
    Map<String, ContestAthlete> byKey = day.byKey();
    for (String category : day.categories()) {
      day.overall(category).lines().forEach(line -> {
        ContestAthlete athlete = byKey.get(line.athlete());
        if (!hidden(athlete, allowed)) {
          lines.add(new SeenLine(category, Integer.toString(line.place()), name(day, athlete, allowed, rivals), athlete.ours(), List.of(),
              line.points().toString(), ""));
        }
      });
    }
    return lines;
  }
}
