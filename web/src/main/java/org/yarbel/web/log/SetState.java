package org.yarbel.web.log;

import jakarta.persistence.Convert;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.Arrays;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.Chosen;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.log.Context;
import org.yarbel.core.log.RepSpeeds;
import org.yarbel.web.column.Names;

/**
 * In what state a set was lifted, with what, and how fast it moved.
 *
 * @param contexts where that was not as usual
 * @param contextWords what else was off; empty where nobody said
 * @param gear what was worn; null where nobody said
 * @param speeds of its reps or of the best, in millimetres a second; null where nobody measured it
 * @param speedSource where they come from; null with them
 * @param chosen which of the loads that the card offered it is; null where it offered one, or another was typed
 */
@Embeddable
public record SetState(@Convert(converter = Names.OfContexts.class) Set<Context> contexts, String contextWords,
    @Convert(converter = Names.OfGear.class) @Nullable Set<Gear> gear, int @Nullable [] speeds,
    @Enumerated(EnumType.STRING) @Nullable SpeedSource speedSource, @Enumerated(EnumType.STRING) @Nullable Chosen chosen) {
  /** As usual, and nobody said or measured anything. */
  static final SetState USUAL = new SetState(Set.of(), "", null, null, null, null);

  /** What is said of a set; speeds that stood before keep where they come from. */
  SetState said(Said said) {
    RepSpeeds told = said.speeds();
    SpeedSource source = told != null && told.equals(repSpeeds()) ? speedSource : SpeedSource.TYPED;
    return new SetState(said.contexts(), said.words(), said.gear(), told == null ? null : millimetres(told), told == null ? null : source,
        said.chosen());
  }

  /** The same with what measured it. */
  SetState measured(RepSpeeds told, SpeedSource from) {
    return new SetState(contexts, contextWords, gear, millimetres(told), from, chosen);
  }

  private static int[] millimetres(RepSpeeds told) {
    return told.millimetres().stream().mapToInt(Integer::intValue).toArray();
  }

  /** How fast it moved; null where nobody measured it. */
  public @Nullable RepSpeeds repSpeeds() {
    return speeds == null ? null : new RepSpeeds(Arrays.stream(speeds).boxed().toList());
  }

  /** In words: {@code no belt, short sleep, something else: slipped}; empty where all was as usual. */
  public String words() {
    String words = contexts.stream().map(Context::word).collect(Collectors.joining(", "));
    return contextWords.isEmpty() ? words : words + (words.isEmpty() ? "" : ": ") + contextWords;
  }
}
