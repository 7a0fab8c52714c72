package org.yarbel.web.clip;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.data.domain.Limit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.mass.Count;
import org.yarbel.web.club.Club;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.ClubRepository;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.form.Typed;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** The clips that are kept: who may see them, and when they go. */
@Service
public class Clips {
  /** One that was taken out can be put back for so long. */
  static final Duration KEPT_WHEN_OUT = Duration.ofDays(7);
  /** What goes is said so long before. */
  static final Duration SAID_BEFORE = Duration.ofDays(14);
  private static final Duration LEFT_AFTER = Duration.ofDays(7);
  private static final int MOST_QUOTA_MB = 999_999;
  private static final int LEAST_DAYS = 7;
  private static final int MOST_DAYS = 3_650;
  private static final Limit AT_ONCE = Limit.of(200);
  private static final Logger LOG = LoggerFactory.getLogger(Clips.class);

  private final ClipRepository clips;
  private final ClipUploadRepository uploads;
  private final ClipStore store;
  private final TrainingSessionRepository sessions;
  private final ClubRepository clubs;
  private final ClubClock clock;
  private final CurrentClub club;
  private final TransactionTemplate transaction;

  Clips(ClipRepository clips, ClipUploadRepository uploads, ClipStore store, TrainingSessionRepository sessions, ClubRepository clubs,
      ClubClock clock, CurrentClub club, TransactionTemplate transaction) {
    this.clips = clips;
    this.uploads = uploads;
    this.store = store;
    this.sessions = sessions;
    this.clubs = clubs;
    this.clock = clock;
    this.club = club;
    this.transaction = transaction;
  }

  /** One that who asks may see; one that was taken out is not there. */
  @Transactional(readOnly = true)
  public Clip one(long id, SignedIn who) {
    return clips.findById(id).filter(clip -> who.maySee(clip.lifterId()) && !clip.gone()).orElseThrow(NotFound::new);
  }

  /** Its film. */
  Path film(Clip clip) {
    Path film = store.kept(club.id(), clip.sha256());
    if (!Files.isRegularFile(film)) {
      LOG.error("The file of clip {} is not there: {}", clip.id(), film);
      throw new NotFound();
    }
    return film;
  }

  /** The clips of a session of who asks, those that can be put back with them. */
  @Transactional(readOnly = true)
  public List<Clip> of(long sessionId, SignedIn who) {
    TrainingSession session = sessions.findById(sessionId).filter(s -> who.maySee(s.lifterId())).orElseThrow(NotFound::new);
    return clips.findBySessionIdOrderById(session.id());
  }

  /** Adds a film that was made here. */
  @Transactional
  public Clip add(TrainingSession session, UUID line, LoggedSet.Place place, byte[] film, Instant at) {
    UUID key = UUID.randomUUID();
    store.write(club.id(), key, 0, film);
    ClipFormat format = ClipFormat.of(store.head(club.id(), key)).orElseThrow();
    return clips.saveAndFlush(new Clip(ClipUpload.ofHouse(session, key, film.length, line, place), store.keep(club.id(), key), format, at));
  }

  /** When one goes because of its age. */
  @Transactional(readOnly = true)
  public Instant goes(Clip clip) {
    return clip.addedAt().plus(kept());
  }

  private Duration kept() {
    return Duration.ofDays(clubs.findById(club.id()).map(Club::clipDays).orElse(0));
  }

  /**
   * What the clips of the club come to.
   *
   * @param going those that go within two weeks because of their age, the first of many
   */
  record Room(long bytes, int quotaMb, int days, List<ClipRepository.Going> going) {}

  @Transactional(readOnly = true)
  Room room() {
    Club own = clubs.findById(club.id()).orElseThrow(NotFound::new);
    Instant soon = clock.now().minus(Duration.ofDays(own.clipDays())).plus(SAID_BEFORE);
    return new Room(clips.room() + uploads.room(), own.clipQuotaMb(), own.clipDays(), clips.going(soon, AT_ONCE));
  }

  /** Gives clips room and days; asks once before fewer days let some go. */
  @Transactional
  Typed settle(Typed typed) {
    Integer quota = typed.whole("quota", "The room in MB", 0, MOST_QUOTA_MB);
    Integer days = typed.whole("days", "The days", LEAST_DAYS, MOST_DAYS);
    if (typed.empty("quota") || typed.empty("days")) {
      typed.wrong(typed.empty("quota") ? "quota" : "days", "Write a number.");
    }
    Club own = clubs.findById(club.id()).orElseThrow(NotFound::new);
    if (typed.fine() && days != null && days < own.clipDays()) {
      long old = clips.older(clock.now().minus(Duration.ofDays(days)));
      if (old > 0) {
        typed.doubt("days", Count.of(old, "clip") + (old == 1 ? " is" : " are") + " older than that and would go for good within hours.");
      }
    }
    if (typed.fine() && quota != null && days != null) {
      own.clips(quota, days);
      clubs.save(own);
    }
    return typed;
  }

  /** Takes one out, or puts it back. */
  @Transactional
  public Clip out(long id, SignedIn who, boolean out) {
    Clip clip = clips.findById(id).filter(one -> who.maySee(one.lifterId())).orElseThrow(NotFound::new);
    clip.gone(out ? clock.now() : null);
    return clips.saveAndFlush(clip);
  }

  /** Lets those go whose time is over, of every club, and what was never sent to its end. */
  @Scheduled(initialDelay = 10, fixedDelay = 360, timeUnit = TimeUnit.MINUTES)
  public void letGo() {
    clubs.findAll().forEach(one -> club.within(one.id(), () -> letGoOf(one)));
  }

  private void letGoOf(Club one) {
    try {
      int gone = 0;
      for (int some = letSomeGo(one); some > 0; some = letSomeGo(one)) {
        gone += some;
      }
      if (gone > 0) {
        LOG.info("{} whose time was over went", Count.of(gone, "clip"));
      }
    } catch (OptimisticLockingFailureException other) {
      LOG.info("Another node lets the clips of club {} go", one.id());
    }
  }

  /** Some of them; their files go only once nobody can come back to them. */
  private int letSomeGo(Club one) {
    Instant now = clock.now();
    List<ClipUpload> left = new ArrayList<>();
    Set<String> films = new LinkedHashSet<>();
    Integer gone = transaction.execute(status -> {
      List<Clip> old = clips.toGo(now.minus(Duration.ofDays(one.clipDays())), now.minus(KEPT_WHEN_OUT), AT_ONCE);
      clips.deleteAll(old);
      clips.flush();
      old.stream().map(Clip::sha256).filter(film -> clips.countBySha256(film) == 0).forEach(films::add);
      left.addAll(uploads.left(now.minus(LEFT_AFTER), AT_ONCE));
      uploads.deleteAll(left);
      return old.size();
    });
    films.forEach(film -> store.drop(one.id(), film));
    left.forEach(upload -> store.drop(one.id(), upload.entryKey()));
    return gone == null ? 0 : gone;
  }
}
