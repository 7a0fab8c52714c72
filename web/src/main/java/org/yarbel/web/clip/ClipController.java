package org.yarbel.web.clip;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import java.time.Duration;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.form.Shown;
import org.yarbel.web.form.Typed;
import org.yarbel.web.who.SignedIn;

/** Clips on their way in, and on their way to a screen. */
@Controller
class ClipController {
  /** A film is looked at, and nothing in it does anything. */
  private static final String NOTHING_RUNS = "default-src 'none'; media-src 'self'; style-src 'unsafe-inline'; sandbox";
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  private final ClipUploads uploads;
  private final Clips clips;
  private final ClubClock clock;
  private final ClipReview review;

  ClipController(ClipUploads uploads, Clips clips, ClubClock clock, ClipReview review) {
    this.review = review;
    this.uploads = uploads;
    this.clips = clips;
    this.clock = clock;
  }

  /** A clip as it is listed. */
  record ClipView(long id, @Nullable String set, String day, String size, boolean byCoach, boolean gone, @Nullable String goes) {}

  /** Begins a clip of a session, or of one of its sets. */
  @PostMapping("/sessions/{id}/clips")
  @ResponseBody
  ResponseEntity<ClipUploads.Progress> begin(@PathVariable long id, @RequestParam UUID key, @RequestParam long bytes,
      @RequestParam(required = false) @Nullable UUID slot, @RequestParam(defaultValue = "0") int part,
      @RequestParam(defaultValue = "0") int set, @AuthenticationPrincipal SignedIn who) {
    return answer(uploads.begin(id, who, key, bytes, slot == null ? null : new ClipUploads.OfSet(slot, part, set)));
  }

  /** How far it is: where to go on after a break. */
  @GetMapping("/clips/uploads/{key}")
  @ResponseBody
  ResponseEntity<ClipUploads.Progress> progress(@PathVariable UUID key, @AuthenticationPrincipal SignedIn who) {
    return uploads.progress(who, key).map(ClipController::answer).orElseGet(() -> ResponseEntity.notFound().build());
  }

  /** A piece of it. */
  @PutMapping("/clips/uploads/{key}")
  @ResponseBody
  ResponseEntity<ClipUploads.Progress> piece(@PathVariable UUID key, @RequestParam long at,
      @RequestBody(required = false) byte @Nullable [] piece, @AuthenticationPrincipal SignedIn who) {
    byte[] bytes = piece == null ? new byte[0] : piece;
    if (bytes.length > ClipUploads.MOST_PIECE || at < 0) {
      return ResponseEntity.status(HttpStatus.CONTENT_TOO_LARGE).build();
    }
    return answer(uploads.piece(who, key, at, bytes));
  }

  private static ResponseEntity<ClipUploads.Progress> answer(ClipUploads.Progress progress) {
    return ResponseEntity.status(progress.refused() == null ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT)
        .cacheControl(CacheControl.noStore()).body(progress);
  }

  /** The film, whole or a range of it; as a file where that is asked for. */
  @GetMapping("/clips/{id}")
  ResponseEntity<Resource> film(@PathVariable long id, @RequestParam(required = false) @Nullable String file,
      @AuthenticationPrincipal SignedIn who) {
    Clip clip = clips.one(id, who);
    ContentDisposition as = (file == null ? ContentDisposition.inline() : ContentDisposition.attachment())
        .filename("clip-" + id + "." + clip.format().ending()).build();
    return ResponseEntity.ok().contentType(MediaType.parseMediaType(clip.format().media()))
        .header(HttpHeaders.CONTENT_DISPOSITION, as.toString()).header("Content-Security-Policy", NOTHING_RUNS)
        .cacheControl(CacheControl.maxAge(Duration.ofHours(1)).cachePrivate()).body(new FileSystemResource(clips.film(clip)));
  }

  /** The clips of a session; a part of the Card that comes when it is opened. */
  @GetMapping("/sessions/{id}/clips")
  String of(@PathVariable long id, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, Model model) {
    model.addAttribute("sessionId", id);
    model.addAttribute("coach", who.staff());
    List<Clip> all = clips.of(id, who);
    Map<Long, String> words = review.words(id, all);
    model.addAttribute("clips", all.stream().map(clip -> view(clip, words.get(clip.id()))).toList());
    return htmx.isHtmxRequest() ? "clip/list :: list" : "clip/page";
  }

  /** A clip that goes soon. */
  record GoingView(long sessionId, String who, String day) {}

  /** The room of the club's clips, and what goes; for coaches. */
  @GetMapping("/clips")
  ModelAndView room() {
    return room(new Typed(Map.of()));
  }

  private ModelAndView room(Typed typed) {
    Clips.Room room = clips.room();
    Map<String, String> fields = new HashMap<>(Map.of("quota", "" + room.quotaMb(), "days", "" + room.days()));
    fields.putAll(typed.fields());
    ModelAndView page = new ModelAndView("clip/room");
    page.addObject("used", ClipUploads.size(room.bytes())).addObject("quota", room.quotaMb());
    page.addObject("newest", review.newest());
    page.addObject("form", new Shown(fields, typed.errors(), typed.asked()));
    page.addObject("going", room.going().stream().map(one -> new GoingView(one.getClip().sessionId(), one.getName(),
        DAY.format(clock.local(one.getClip().addedAt().plus(Duration.ofDays(room.days())))))).toList());
    page.setStatus(typed.fine() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    return page;
  }

  @PostMapping("/clips")
  ModelAndView settle(@RequestParam Map<String, String> form) {
    Typed typed = clips.settle(new Typed(form));
    return typed.fine() ? new ModelAndView("redirect:/clips") : room(typed);
  }

  private ClipView view(Clip clip, @Nullable String set) {
    boolean soon = clips.goes(clip).isBefore(clock.now().plus(Clips.SAID_BEFORE));
    return new ClipView(clip.id(), set, DAY.format(clock.local(clip.addedAt())), ClipUploads.size(clip.bytes()),
        clip.byCoach(), clip.gone(), soon ? DAY.format(clock.local(clips.goes(clip))) : null);
  }

  /** Takes a clip out, or puts it back. */
  @PostMapping("/clips/{id}/out")
  String out(@PathVariable long id, @RequestParam(defaultValue = "true") boolean out, @AuthenticationPrincipal SignedIn who,
      HtmxRequest htmx, Model model) {
    Clip clip = clips.out(id, who, out);
    return htmx.isHtmxRequest() ? of(clip.sessionId(), who, htmx, model) : "redirect:/sessions/" + clip.sessionId() + "/clips";
  }
}
