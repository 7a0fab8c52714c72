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

/** What can be chosen wherever somebody logs. */
public final class CardChoices {
  /** Ratings, the lowest first. */
  public static final List<Choice> RPE = Choice.plain(Rpe.scale());
  /** Why a set had no more reps. */
  public static final List<Choice> ENDED = Choice.of(HowEnded.class, HowEnded::word);
  /** What ended singles against the clock. */
  public static final List<Choice> STOPPED = Choice.of(Stopped.class, Stopped::word);
  /** Where it can hurt. */
  public static final List<Choice> PLACES = Choice.of(BodyPlace.class, BodyPlace::word);
  /** On which side. */
  public static final List<Choice> SIDES = Choice.of(Pain.Side.class, Pain.Side::word);
  /** How much it can hurt. */
  public static final List<Choice> SCORES = upTo(0, Pain.MOST);
  /** In what states a set can have been lifted. */
  public static final List<Choice> CONTEXTS = Choice.of(Context.class, Context::word);
  /** How hard a whole session can have been. */
  public static final List<Choice> EFFORTS = upTo(0, SessionEffort.MOST);
  /** How somebody feels, the best last. */
  public static final List<Choice> LEVELS = upTo(1, CheckIn.BEST);

  private CardChoices() {}

  private static List<Choice> upTo(int least, int most) {
    return Choice.plain(IntStream.rangeClosed(least, most).boxed().toList());
  }
}
