package org.yarbel.web.clip;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.Mark;
import org.yarbel.core.log.MarkList;
import org.yarbel.core.log.RepSpeeds;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.track.PictureSpeed;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.form.Typed;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.SetJudged;
import org.yarbel.web.log.SetMark;
import org.yarbel.web.log.SetMarkRepository;
import org.yarbel.web.log.SetState;
import org.yarbel.web.log.SpeedSource;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** Looks at clips: what is marked on them, and what is read off them. The arithmetic is the core's. */
@Service
class ClipReview {
  private static final int MOST_MARKS = 200;
  private static final int MOST_PATH = 200;
  private static final Limit MOST_BESIDE = Limit.of(20);
  private static final Limit MOST_NEW = Limit.of(20);
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  private final Clips clips;
  private final ClipRepository kept;
  private final ClubClock clock;
  private final LoggedSetRepository sets;
  private final SetMarkRepository marks;
  private final Lifts lifts;
  private final ApplicationEventPublisher events;

  ClipReview(Clips clips, ClipRepository kept, LoggedSetRepository sets, SetMarkRepository marks, Lifts lifts, ClubClock clock,
      ApplicationEventPublisher events) {
    this.clips = clips;
    this.kept = kept;
    this.clock = clock;
    this.sets = sets;
    this.marks = marks;
    this.lifts = lifts;
    this.events = events;
  }

  /** A clip that came, whose and of what. */
  record NewClip(long id, String who, String what) {}

  /** A mark on a clip. */
  record MarkView(long id, String words, double at, String time) {}

  /** Another clip of the same session or lift. */
  record OtherClip(long id, String what, boolean beside) {}

  /**
   * A clip that is looked at.
   *
   * @param set what it is of, in words; null where its set is not logged, or it is of the whole session
   * @param beside the clip that stands beside it; null for none
   */
  record Reviewed(long id, long sessionId, @Nullable String set, List<MarkView> marks, List<TechniqueMark> offered, List<OtherClip> others,
      @Nullable Long beside, @Nullable String speeds) {}

  @Transactional(readOnly = true)
  Reviewed of(long id, @Nullable Long with, SignedIn who) {
    Clip clip = clips.one(id, who);
    Optional<LoggedSetRow> set = set(clip);
    Optional<Lift> lift = set.flatMap(row -> lifts.catalogue().ofKey(row.lift()));
    List<OtherClip> others = kept.besides(id, clip.lifterId(), clip.sessionId(), lift.map(Lift::key).orElse(""), MOST_BESIDE).stream()
        .map(one -> new OtherClip(one.getClip().id(), words(one), Long.valueOf(one.getClip().id()).equals(with))).toList();
    Long beside = with == null ? null : Long.valueOf(clips.one(with, who).id());
    List<MarkView> seen = marks.findByClipIdOrderByAtMs(id).stream().map(ClipReview::view).toList();
    return new Reviewed(id, clip.sessionId(), set.map(row -> name(row) + " " + row.words()).orElse(null), seen,
        lift.map(MarkList::of).orElse(MarkList.ASSISTANCE).marks(), others, beside,
        set.map(LoggedSetRow::state).map(SetState::repSpeeds).map(RepSpeeds::words).orElse(null));
  }

  /** The newest clips of the club. */
  @Transactional(readOnly = true)
  List<NewClip> newest() {
    return kept.newest(MOST_NEW).stream().map(one -> new NewClip(one.getClip().id(), one.getName(), words(one))).toList();
  }

  /** What a clip is of and when: {@code Squat 182.5 kg × 1 @8, Mon 2 March}. */
  private String words(ClipRepository.OfSet one) {
    LoggedSetRow row = one.getRow();
    return row == null ? "a session, " + DAY.format(clock.local(one.getClip().addedAt()))
        : name(row) + " " + row.words() + ", " + DAY.format(row.day());
  }

  /** What each of these clips of a session is of, by its id; none for those of no logged set. */
  @Transactional(readOnly = true)
  Map<Long, String> words(long sessionId, List<Clip> all) {
    Map<Long, String> words = new HashMap<>();
    List<LoggedSetRow> logged = all.isEmpty() ? List.of() : sets.ofSession(sessionId);
    for (Clip clip : all) {
      logged.stream().filter(row -> clip.isOf(row.line(), row.loggedSet().place())).findFirst()
          .ifPresent(row -> words.put(clip.id(), name(row) + " " + row.words()));
    }
    return words;
  }

  private String name(LoggedSetRow row) {
    return lifts.catalogue().ofKey(row.lift()).map(Lift::name).orElse(row.lift());
  }

  private static MarkView view(SetMark mark) {
    double seconds = (mark.atMs() == null ? 0 : mark.atMs()) / 1000.0;
    return new MarkView(mark.id(), mark.mark().words(), seconds, String.format(Locale.ROOT, "%.2f s", seconds));
  }

  private Optional<LoggedSetRow> set(Clip clip) {
    return clip.line() == null || clip.part() == null || clip.setNumber() == null ? Optional.empty()
        : sets.at(clip.sessionId(), clip.line(), clip.part(), clip.setNumber());
  }

  /** Marks a moment. */
  @Transactional
  public Typed mark(long id, SignedIn who, Typed typed) {
    Clip clip = clips.one(id, who);
    LoggedSetRow row = set(clip).orElse(null);
    Double at = typed.decimal("at", "The time in the clip", 0, 3600);
    Integer rep = typed.whole("rep", "The rep", 1, 101);
    Optional<TechniqueMark> what = typed.choice("mark", TechniqueMark.class);
    if (row == null) {
      typed.wrong("mark", "The set of this clip is not logged yet: log it first, then mark it.");
    } else if (what.isEmpty() || at == null) {
      typed.wrong("mark", "Choose what was seen, at a moment of the clip.");
    } else if (marks.findByClipIdOrderByAtMs(id).size() >= MOST_MARKS) {
      typed.wrong("mark", "A clip holds at most " + MOST_MARKS + " marks.");
    }
    if (typed.fine() && row != null && at != null) {
      Mark mark = new Mark(what.orElseThrow(), rep);
      try {
        mark.check(row.reps(), row.triedFurther());
        marks.saveAndFlush(new SetMark(row, mark, who.staff()).seenOn(id, (int) Math.round(at * 1000)));
        events.publishEvent(new SetJudged(row.lifterId()));
      } catch (Refused refused) {
        typed.wrong("rep", refused);
      }
    }
    return typed;
  }

  /** Takes a mark off a clip; it can be put back by marking again. */
  @Transactional
  public void unmark(long id, long markId, SignedIn who) {
    Clip clip = clips.one(id, who);
    marks.delete(marks.findById(markId).filter(mark -> Long.valueOf(id).equals(mark.clipId())).orElseThrow(NotFound::new));
    events.publishEvent(new SetJudged(clip.lifterId()));
  }

  /**
   * What is read off a picture.
   *
   * @param refused why nothing can be read; null where something was
   */
  record Read(@Nullable Double velocity, @Nullable Double error, @Nullable Double height, @Nullable Double seconds,
      List<PictureSpeed.Place> path, @Nullable String words, @Nullable String refused) {}

  /** The clicks of one rep, as they were made on the picture. */
  record Clicks(double across, double plate, double x0, double y0, double t0, double x1, double y1, double t1, double fps, String path) {}

  /** Reads a rep off its clicks. */
  Read read(Clicks clicks) {
    try {
      List<PictureSpeed.Place> path = PictureSpeed.path(clicks.across(), clicks.plate(), path(clicks.path()));
      PictureSpeed.Click start = new PictureSpeed.Click(clicks.x0(), clicks.y0(), clicks.t0());
      PictureSpeed.Click end = new PictureSpeed.Click(clicks.x1(), clicks.y1(), clicks.t1());
      if (!(clicks.fps() >= 1 && clicks.fps() <= 1000)) {
        throw new Refused("The frames a second must be from 1 to 1000");
      }
      PictureSpeed rep = PictureSpeed.of(clicks.across(), clicks.plate(), start, end, 1 / clicks.fps());
      return new Read(rep.velocity(), rep.error(), rep.height(), rep.seconds(), path, String.format(Locale.ROOT,
          "%.2f ± %.2f m/s: %.0f mm in %.2f s", rep.velocity(), rep.error(), rep.height(), rep.seconds()), null);
    } catch (Refused refused) {
      return new Read(null, null, null, null, List.of(), null, refused.sentence());
    }
  }

  private static List<PictureSpeed.Click> path(String text) {
    List<PictureSpeed.Click> clicks = new ArrayList<>();
    if (text.isBlank()) {
      return clicks;
    }
    String[] all = text.split(";", MOST_PATH + 2);
    if (all.length > MOST_PATH) {
      throw new Refused("A path has at most " + MOST_PATH + " clicks");
    }
    for (String one : all) {
      String[] three = one.split(",");
      try {
        clicks.add(new PictureSpeed.Click(Double.parseDouble(three[0]), Double.parseDouble(three[1]), Double.parseDouble(three[2])));
      } catch (NumberFormatException | ArrayIndexOutOfBoundsException none) {
        throw new Refused("The path must be places and times of clicks", none);
      }
    }
    return clicks;
  }

  /** Writes the speeds that were read to the set of a clip. */
  @Transactional
  public Typed write(long id, SignedIn who, Typed typed) {
    Clip clip = clips.one(id, who);
    LoggedSetRow row = set(clip).orElse(null);
    if (row == null) {
      typed.wrong("speeds", "The set of this clip is not logged yet: log it first.");
      return typed;
    }
    try {
      RepSpeeds speeds = RepSpeeds.parse(typed.text("speeds"));
      speeds.check(row.reps(), row.triedFurther());
      row.measured(speeds, SpeedSource.CLIP);
      sets.saveAndFlush(row);
    } catch (Refused refused) {
      typed.wrong("speeds", refused);
    }
    return typed;
  }
}
