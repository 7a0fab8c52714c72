package org.yarbel.web.device;

import java.math.BigDecimal;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.form.Shown;
import org.yarbel.web.form.Typed;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.who.SignedIn;

/** Devices of a lifter, what they send, and the simulated one. */
@Controller
class DeviceController {
  private static final DateTimeFormatter AT = DateTimeFormatter.ofPattern("EEE d MMM, HH:mm", Locale.ENGLISH);

  private final Devices devices;
  private final ClubClock clock;

  DeviceController(Devices devices, ClubClock clock) {
    this.devices = devices;
    this.clock = clock;
  }

  /** A device as it is listed. */
  record DeviceView(long id, String name, String last, boolean revoked) {}

  /** A set that was told. */
  record ToldView(String at, String speeds, boolean found) {}

  /** Takes the reps of a set; the token in it is all the sign-in there is. */
  @PostMapping(path = "/sensor", consumes = MediaType.APPLICATION_JSON_VALUE)
  @ResponseBody
  ResponseEntity<Object> take(@RequestBody SensorReps.Sent sent) {
    return devices.take(sent).<ResponseEntity<Object>>map(taken -> ResponseEntity.accepted().body(taken)).orElseGet(() -> problem(
        HttpStatus.UNAUTHORIZED, "No device has this token, or it was revoked."));
  }

  @ExceptionHandler(Refused.class)
  ResponseEntity<Object> refused(Refused refused) {
    return problem(HttpStatus.UNPROCESSABLE_CONTENT, refused.sentence());
  }

  @ExceptionHandler(HttpMessageNotReadableException.class)
  ResponseEntity<Object> unreadable() {
    return problem(HttpStatus.BAD_REQUEST, "The body is not what the format describes.");
  }

  private static ResponseEntity<Object> problem(HttpStatus status, String detail) {
    return ResponseEntity.status(status).contentType(MediaType.APPLICATION_PROBLEM_JSON)
        .body(ProblemDetail.forStatusAndDetail(status, detail));
  }

  @GetMapping("/lifters/{id}/devices")
  ModelAndView page(@PathVariable long id, @AuthenticationPrincipal SignedIn who) {
    return shown(id, who, new Typed(Map.of()), null);
  }

  private ModelAndView shown(long id, SignedIn who, Typed typed, @Nullable String token) {
    Lifter lifter = devices.lifter(id, who);
    ModelAndView page = new ModelAndView("device/page");
    page.addObject("lifterId", id).addObject("lifter", lifter.name()).addObject("form", Shown.of(typed));
    page.addObject("token", token);
    page.addObject("devices", devices.of(id).stream().map(device -> new DeviceView(device.id(), device.name(), device.lastAt() == null
        ? "nothing sent yet" : "sent last " + AT.format(clock.local(device.lastAt())), device.revoked())).toList());
    page.addObject("told", devices.told(id).stream().map(set -> new ToldView(AT.format(clock.local(set.startedAt())),
        set.speeds().words(), set.found())).toList());
    page.setStatus(typed.fine() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    return page;
  }

  /** Adds a device; its token stands on this answer and nowhere else. */
  @PostMapping("/lifters/{id}/devices")
  ModelAndView add(@PathVariable long id, @RequestParam Map<String, String> form, @AuthenticationPrincipal SignedIn who) {
    Typed typed = new Typed(form);
    String name = typed.name("name", "what the device is called", 60);
    if (!typed.fine()) {
      return shown(id, who, typed, null);
    }
    try {
      return shown(id, who, new Typed(Map.of()), devices.add(id, name, who));
    } catch (Refused refused) {
      typed.wrong("name", refused);
      return shown(id, who, typed, null);
    }
  }

  @PostMapping("/lifters/{id}/devices/{device}/revoke")
  String revoke(@PathVariable long id, @PathVariable long device, @AuthenticationPrincipal SignedIn who) {
    devices.revoke(id, device, who);
    return "redirect:/lifters/" + id + "/devices";
  }

  /** Plays a set as a device would: each rep a little slower than the one before. */
  @PostMapping("/lifters/{id}/devices/play")
  ModelAndView play(@PathVariable long id, @RequestParam Map<String, String> form, @AuthenticationPrincipal SignedIn who) {
    devices.lifter(id, who);
    Typed typed = new Typed(form);
    Integer reps = typed.whole("reps", "The reps", 1, SensorReps.MOST_REPS);
    Double first = typed.decimal("speed", "The speed of the first rep", 0.05, 3);
    if (typed.empty("reps") || typed.empty("speed")) {
      typed.wrong("reps", "Write how many reps, and how fast the first is.");
    }
    if (typed.fine() && reps != null && first != null) {
      try {
        if (devices.take(MadeUpDevice.set(typed.text("token"), reps, BigDecimal.valueOf(first), clock.now())).isEmpty()) {
          typed.wrong("token", "No device has this token, or it was revoked.");
        }
      } catch (Refused refused) {
        typed.wrong("reps", refused);
      }
    }
    return typed.fine() ? new ModelAndView("redirect:/lifters/" + id + "/devices") : shown(id, who, typed, null);
  }
}
