package org.yarbel.web.holdings;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.edge.Address;
import org.yarbel.web.edge.BackupWatch;
import org.yarbel.web.edge.ListenProperties;
import org.yarbel.web.edge.QrCode;
import org.yarbel.web.who.SignedIn;

/** The house, for owners: where it is reached, its backups, all of the club out, another club in, and who asked to be forgotten. */
@Controller
class HouseController {
  private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

  private final ClubArchive archive;
  private final ClubArrival arrival;
  private final Deletions deletions;
  private final Address address;
  private final ListenProperties listen;
  private final BackupWatch backups;
  private final ClubClock clock;
  private final SecurityLog log;

  HouseController(ClubArchive archive, ClubArrival arrival, Deletions deletions, Address address, ListenProperties listen,
      BackupWatch backups, ClubClock clock, SecurityLog log) {
    this.archive = archive;
    this.arrival = arrival;
    this.deletions = deletions;
    this.address = address;
    this.listen = listen;
    this.backups = backups;
    this.clock = clock;
    this.log = log;
  }

  /** Somebody who asked to be forgotten. */
  record AskedView(long lifter, String name, String asked, String goes) {}

  /** The last backup; {@code wrong} when it failed. */
  record BackupView(String at, String ago, String words, boolean wrong) {}

  @GetMapping("/house")
  ModelAndView page(@AuthenticationPrincipal SignedIn who) {
    return new ModelAndView("holdings/house", shown(who, null));
  }

  private Map<String, Object> shown(SignedIn who, @Nullable String wrong) {
    Map<String, Object> model = new HashMap<>();
    model.put("address", address.base());
    model.put("reachable", address.reachable());
    model.put("trust", listen.trust() != null);
    model.put("qr", QrCode.of(address.base()));
    model.put("nightly", backups.nightly());
    model.put("backup", backups.last().map(last -> new BackupView(time(last.at()),
        BackupWatch.ago(Duration.between(last.at(), Instant.now())),
        last.words(), !last.done())).orElse(null));
    model.put("asked", deletions.of(who.clubId()).stream().map(one -> new AskedView(one.lifter(), one.name(), time(one.asked()),
        one.goes() == null ? "" : time(one.goes()))).toList());
    model.put("wrong", wrong);
    return model;
  }

  private String time(Instant at) {
    return TIME.format(clock.local(at));
  }

  /** All of the club. It is written whole before the first byte goes: half of one is none. */
  @GetMapping("/house/club.zip")
  void export(@AuthenticationPrincipal SignedIn who, HttpServletResponse response) throws IOException {
    Path file = Files.createTempFile("yarbel-club-", ".zip");
    try {
      try (OutputStream out = Files.newOutputStream(file)) {
        archive.write(who.clubId(), out);
      }
      log.note(Event.EXPORTED, who.clubId(), who.accountId(), "all of the club");
      response.setContentType("application/zip");
      response.setContentLengthLong(Files.size(file));
      response.setHeader(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"club-" + clock.today() + ".zip\"");
      Files.copy(file, response.getOutputStream());
    } finally {
      Files.deleteIfExists(file);
    }
  }

  /** Another club, from its archive: it stands beside this one. */
  @PostMapping("/house/arrivals")
  ModelAndView take(@RequestParam(required = false) @Nullable MultipartFile file, @AuthenticationPrincipal SignedIn who,
      RedirectAttributes flash) throws IOException {
    if (file == null || file.isEmpty()) {
      return refused(who, "Choose the file of a club's archive.");
    }
    Path here = Files.createTempFile("yarbel-arrival-", ".zip");
    try {
      file.transferTo(here);
      ClubArrival.Arrived arrived = arrival.take(here);
      log.note(Event.ARRIVED, who.clubId(), who.accountId(), arrived.name());
      flash.addFlashAttribute("said", arrived.name() + " is there, as a club of its own: " + arrived.rows() + " rows, " + arrived.clips()
          + " clips. " + (arrived.owner().isEmpty() ? "It has no owner yet." : "Its owner " + arrived.owner()
          + " comes in by a link that whoever looks after the machine makes: ./yarbel let-in " + arrived.owner()));
      return new ModelAndView("redirect:/house");
    } catch (ArchiveRefused refused) {
      return refused(who, refused.sentence() + " Nothing was taken in.");
    } finally {
      Files.deleteIfExists(here);
    }
  }

  private ModelAndView refused(SignedIn who, String sentence) {
    ModelAndView page = new ModelAndView("holdings/house", shown(who, sentence));
    page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
    return page;
  }
}
