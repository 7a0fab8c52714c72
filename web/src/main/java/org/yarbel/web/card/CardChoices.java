package org.yarbel.web.card;

import java.util.List;
import java.util.stream.IntStream;
import org.yarbel.core.card.HowEnded;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.log.BodyPlace;
import org.yarbel.core.log.CheckIn;
import org.yarbel.core.log.Context;
import org.yarbel.core.log.Pain;
import org.yarbel.core.log.SessionEffort;
import org.yarbel.web.log.Stopped;
import org.yarbel.web.page.Choice;

/** What can be chosen on any card. */
public final class CardChoices {
  private static final List<Choice> RPE = Choice.plain(Rpe.scale());
  private static final List<Choice> ENDED = Choice.of(HowEnded.class, HowEnded::word);
  private static final List<Choice> STOPPED = Choice.of(Stopped.class, Stopped::word);
  private static final List<Choice> PLACES = Choice.of(BodyPlace.class, BodyPlace::word);
  private static final List<Choice> SIDES = Choice.of(Pain.Side.class, Pain.Side::word);
  private static final List<Choice> SCORES = Choice.plain(IntStream.rangeClosed(0, Pain.MOST).boxed().toList());
  private static final List<Choice> CONTEXTS = Choice.of(Context.class, Context::word);
  private static final List<Choice> EFFORTS = Choice.plain(IntStream.rangeClosed(0, SessionEffort.MOST).boxed().toList());

  private static final List<Choice> LEVELS = Choice.plain(IntStream.rangeClosed(1, CheckIn.BEST).boxed().toList());

  private CardChoices() {}

  /** Ratings, the lowest first. */
  public static List<Choice> rpe() {
    return RPE;
  }

  /** Why a set had no more reps. */
  public static List<Choice> ended() {
    return ENDED;
  }

  /** What ended singles against the clock. */
  public static List<Choice> stopped() {
    return STOPPED;
  }

  /** Where it can hurt. */
  public static List<Choice> places() {
    return PLACES;
  }

  /** On which side. */
  public static List<Choice> sides() {
    return SIDES;
  }

  /** How much. */
  public static List<Choice> scores() {
    return SCORES;
  }

  /** In what states a set can have been lifted. */
  public static List<Choice> contexts() {
    return CONTEXTS;
  }

  /** How somebody feels, the best last. */
  public static List<Choice> levels() {
    return LEVELS;
  }

  /** How hard a whole session can have been. */
  public static List<Choice> efforts() {
    return EFFORTS;
  }
}
