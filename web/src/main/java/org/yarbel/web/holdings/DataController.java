package org.yarbel.web.holdings;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** A lifter's data are theirs: all of it out, gone when they want it, and what others in the club see. For them, or a coach for them. */
@Controller
class DataController {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM yyyy", Locale.ENGLISH);
  private static final int MOST_GUARDIAN = 200;

  private final LifterExport export;
  private final Deletions deletions;
  private final JdbcClient jdbc;
  private final ClubClock clock;
  private final SecurityLog log;

  DataController(LifterExport export, Deletions deletions, JdbcClient jdbc, ClubClock clock, SecurityLog log) {
    this.export = export;
    this.deletions = deletions;
    this.jdbc = jdbc;
    this.clock = clock;
    this.log = log;
  }

  /** Whose data it is, and what they let others see. */
  record Whose(String name, boolean showsName, boolean showsResults, String guardian, boolean minor) {}

  private Whose whose(long id, SignedIn who) {
    if (!who.maySee(id)) {
      throw new NotFound();
    }
    return jdbc.sql("select name, shows_name, shows_results, guardian, birth_year is not null and :year - birth_year <= 18 as minor from "
        + "lifter where club_id = :club and id = :id").param("year", clock.today().getYear()).param("club", who.clubId()).param("id", id)
        .query(Whose.class).optional().orElseThrow(NotFound::new);
  }

  /** The lifter, or one who plans for them; an assistant reads. */
  private Whose theirs(long id, SignedIn who) {
    Whose whose = whose(id, who);
    if (who.staff() && !who.plans()) {
      throw new AccessDeniedException("an assistant");
    }
    return whose;
  }

  @GetMapping("/lifters/{id}/data")
  ModelAndView page(@PathVariable long id, @AuthenticationPrincipal SignedIn who) {
    return new ModelAndView("holdings/data", shown(id, who, theirs(id, who), Map.of()));
  }

  private Map<String, Object> shown(long id, SignedIn who, Whose whose, Map<String, String> errors) {
    Map<String, Object> model = new HashMap<>();
    model.put("id", id);
    model.put("whose", whose);
    model.put("own", !who.staff());
    model.put("errors", errors);
    model.put("asked", deletions.of(who.clubId(), id).map(asked -> asked.goes() == null ? "waits" : day(asked.goes())).orElse(""));
    return model;
  }

  private String day(Instant at) {
    return DAY.format(clock.local(at));
  }

  /** Everything held about them, written whole before the first byte goes. */
  @GetMapping("/lifters/{id}/data.zip")
  void export(@PathVariable long id, @AuthenticationPrincipal SignedIn who, HttpServletResponse response) throws IOException {
    theirs(id, who);
    Path file = Files.createTempFile("yarbel-lifter-", ".zip");
    try {
      try (OutputStream out = Files.newOutputStream(file)) {
        export.write(who.clubId(), id, out);
      }
      log.note(Event.EXPORTED, who.clubId(), who.accountId(), "all that is held about lifter " + id);
      response.setContentType("application/zip");
      response.setContentLengthLong(Files.size(file));
      response.setHeader(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"my-training-" + clock.today() + ".zip\"");
      Files.copy(file, response.getOutputStream());
    } finally {
      Files.deleteIfExists(file);
    }
  }

  /** What others in the club see, which the lifter says; and whom to call for a minor. */
  @PostMapping("/lifters/{id}/data/shown")
  ModelAndView show(@PathVariable long id, @RequestParam(defaultValue = "false") boolean name,
      @RequestParam(defaultValue = "false") boolean results, @RequestParam(defaultValue = "") String guardian,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Whose whose = theirs(id, who);
    String contact = guardian.strip();
    if (contact.length() > MOST_GUARDIAN) {
      ModelAndView again = new ModelAndView("holdings/data", shown(id, who, new Whose(whose.name(), name, results, contact, whose.minor()),
          Map.of("guardian", "At most " + MOST_GUARDIAN + " characters, but there are " + contact.length() + ".")));
      again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
      return again;
    }
    jdbc.sql("update lifter set shows_name = :name, shows_results = :results, guardian = :guardian where club_id = :club and id = :id")
        .param("name", name).param("results", name && results).param("guardian", contact).param("club", who.clubId()).param("id", id)
        .update();
    flash.addFlashAttribute("said", "Kept.");
    return back(id);
  }

  private static ModelAndView back(long id) {
    return new ModelAndView("redirect:/lifters/" + id + "/data");
  }

  @PostMapping("/lifters/{id}/data/delete")
  ModelAndView delete(@PathVariable long id, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    theirs(id, who);
    deletions.ask(who, id);
    flash.addFlashAttribute("said", who.plans() ? "Everything goes in " + Deletions.UNDONE_WITHIN.toDays() + " days; until then it can be "
        + "undone here." : "Your coach is asked to confirm it. Until then nothing changes.");
    return back(id);
  }

  @PostMapping("/lifters/{id}/data/confirm")
  ModelAndView confirm(@PathVariable long id, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    theirs(id, who);
    deletions.confirm(who, id);
    flash.addFlashAttribute("said", "Everything goes in " + Deletions.UNDONE_WITHIN.toDays() + " days; until then it can be undone here.");
    return back(id);
  }

  @PostMapping("/lifters/{id}/data/keep")
  ModelAndView keep(@PathVariable long id, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    theirs(id, who);
    flash.addFlashAttribute("said", deletions.undo(who, id) ? "Nothing is deleted." : "Nothing was asked for.");
    return back(id);
  }
}
