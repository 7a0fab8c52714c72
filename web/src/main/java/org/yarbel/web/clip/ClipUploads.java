package org.yarbel.web.clip;

import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.club.Club;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.ClubRepository;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** Takes clips in, piece by piece. A piece that is sent again is known; one that is missing is asked for. */
@Service
class ClipUploads {
  /** The longest film. */
  static final long MOST_BYTES = 200L << 20;
  /** The longest piece. */
  static final int MOST_PIECE = 4 << 20;
  private static final int MOST_AT_ONCE = 20;
  private static final long KIB = 1 << 10;
  private static final long MIB = 1 << 20;

  private final ClipUploadRepository uploads;
  private final ClipRepository clips;
  private final ClipStore store;
  private final TrainingSessionRepository sessions;
  private final ClubRepository clubs;
  private final ClubClock clock;
  private final CurrentClub club;

  ClipUploads(ClipUploadRepository uploads, ClipRepository clips, ClipStore store, TrainingSessionRepository sessions, ClubRepository clubs,
      ClubClock clock, CurrentClub club) {
    this.uploads = uploads;
    this.clips = clips;
    this.store = store;
    this.sessions = sessions;
    this.clubs = clubs;
    this.clock = clock;
    this.club = club;
  }

  /** A set a clip is of. */
  record OfSet(UUID line, int part, int set) {}

  /**
   * How far one is.
   *
   * @param received so many bytes are there
   * @param clip its id once it is all there; null before
   * @param refused why it is not taken; null while nothing is wrong
   */
  record Progress(long received, @Nullable Long clip, @Nullable String refused) {
    static Progress refused(String why) {
      return new Progress(0, null, why);
    }
  }

  /** Begins one, or tells how far it is when it was begun before. */
  @Transactional
  public Progress begin(long sessionId, SignedIn who, UUID key, long bytes, @Nullable OfSet of) {
    TrainingSession session = sessions.findById(sessionId).filter(s -> who.maySee(s.lifterId())).orElseThrow(NotFound::new);
    Optional<Progress> before = progress(who, key);
    if (before.isPresent()) {
      return before.get();
    }
    if (bytes < 1) {
      return Progress.refused("There is nothing in this file.");
    }
    if (bytes > MOST_BYTES) {
      return Progress.refused("A clip may have at most " + (MOST_BYTES >> 20) + " MB; this one has " + size(bytes)
          + ". Film in a lower resolution, or cut it to the set.");
    }
    if (uploads.countByLifterId(session.lifterId()) >= MOST_AT_ONCE) {
      return Progress.refused("There are " + MOST_AT_ONCE + " clips on their way already. Wait until some are through.");
    }
    long quota = clubs.findById(club.id()).map(Club::clipQuotaMb).orElse(0) * MIB;
    long taken = clips.room() + uploads.room();
    if (taken + bytes > quota) {
      return Progress.refused("The club's clips take " + size(taken) + " of " + size(quota) + ": this one (" + size(bytes)
          + ") has no room. Take out clips that nobody needs any more, or give clips more room on their page.");
    }
    ClipUpload upload = new ClipUpload(session, key, bytes, who, clock.now());
    if (of != null) {
      upload.of(of.line(), of.part(), of.set());
    }
    uploads.saveAndFlush(upload);
    return new Progress(0, null, null);
  }

  /** So many bytes as a person reads them: {@code 22 kB}, {@code 4.1 MB}, {@code 180 MB}. */
  static String size(long bytes) {
    if (bytes < MIB) {
      return (bytes + KIB - 1) / KIB + " kB";
    }
    return String.format(Locale.ROOT, bytes < 10 * MIB ? "%.1f MB" : "%.0f MB", bytes / (double) MIB);
  }

  /** How far one of who asks is; empty where nothing was begun. */
  @Transactional(readOnly = true)
  public Optional<Progress> progress(SignedIn who, UUID key) {
    Optional<Progress> under = uploads.findByEntryKey(key).map(upload -> {
      own(upload.accountId(), who);
      return new Progress(upload.received(), null, null);
    });
    return under.or(() -> clips.findByEntryKey(key).map(clip -> {
      if (!who.maySee(clip.lifterId())) {
        throw new NotFound();
      }
      return new Progress(clip.bytes(), clip.id(), null);
    }));
  }

  private static void own(long accountId, SignedIn who) {
    if (accountId != who.accountId()) {
      throw new NotFound();
    }
  }

  /** Takes a piece that begins at a byte. The last one makes the clip, or says what is wrong with it. */
  @Transactional
  public Progress piece(SignedIn who, UUID key, long at, byte[] bytes) {
    Optional<ClipUpload> found = uploads.taking(key);
    if (found.isEmpty()) {
      return progress(who, key).orElseThrow(NotFound::new);
    }
    ClipUpload upload = found.get();
    own(upload.accountId(), who);
    if (store.there(club.id(), key) < upload.received()) {
      // the machine died between the file and its row: what is missing is asked for again
      upload.received(store.there(club.id(), key));
      uploads.saveAndFlush(upload);
    }
    if (at != upload.received() || bytes.length == 0) {
      // sent again, or out of turn: what is there is told
      return new Progress(upload.received(), null, null);
    }
    if (at + bytes.length > upload.bytes()) {
      return fail(upload, "More came than was told. Choose the clip again.");
    }
    store.write(club.id(), key, at, bytes);
    upload.received(at + bytes.length);
    uploads.saveAndFlush(upload);
    if (at == 0 && ClipFormat.of(store.head(club.id(), key)).isEmpty()) {
      return fail(upload, "This is no film that can be taken: MP4, WebM or MOV is wanted, whatever it is called.");
    }
    return upload.received() < upload.bytes() ? new Progress(upload.received(), null, null) : done(upload);
  }

  private Progress fail(ClipUpload upload, String why) {
    store.drop(club.id(), upload.entryKey());
    uploads.delete(upload);
    return Progress.refused(why);
  }

  private Progress done(ClipUpload upload) {
    ClipFormat format = ClipFormat.of(store.head(club.id(), upload.entryKey())).orElseThrow();
    Clip clip = new Clip(upload, store.keep(club.id(), upload.entryKey()), format, clock.now());
    uploads.delete(upload);
    uploads.flush();
    clips.saveAndFlush(clip);
    return new Progress(clip.bytes(), clip.id(), null);
  }
}
