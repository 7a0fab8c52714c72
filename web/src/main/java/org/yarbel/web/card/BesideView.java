package org.yarbel.web.card;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.Chosen;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.log.Context;
import org.yarbel.core.log.Mark;
import org.yarbel.core.log.RepSpeeds;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.SetState;

/**
 * What stands beside the figures of a set: as it was said, or as it is proposed.
 *
 * @param worn the pieces that are ticked
 * @param wornWas the pieces as they are shown, so that nobody is taken to have said what only stood there
 * @param marks each with its rep as it is typed
 * @param chosen which of the loads that were offered it is; null for none of them
 * @param hurt where it hurt, as it was typed and not taken; what was taken stands with the check-in
 */
public record BesideView(Set<Context> contexts, String words, Set<Gear> worn, Set<Gear> wornWas, Map<TechniqueMark, String> marks,
    String speeds, String did, @Nullable Chosen chosen, HurtForm hurt) {
  /** Nothing, to be filled by a script. */
  static final BesideView NOTHING = new BesideView(Set.of(), "", Set.of(), Set.of(), Map.of(), "", "", null, HurtForm.NOTHING);

  /** What is proposed before anything is said. */
  static BesideView proposed(Set<Context> contexts, Set<Gear> normal) {
    return new BesideView(contexts, "", normal, normal, Map.of(), "", "", null, HurtForm.NOTHING);
  }

  /** As it stands in the log. */
  static BesideView of(LoggedSetRow row, List<Mark> marks, Set<Gear> normal, String did) {
    Map<TechniqueMark, String> seen = new LinkedHashMap<>();
    marks.forEach(mark -> seen.merge(mark.what(), mark.rep() == null ? "" : mark.rep().toString(), (one, other) -> one));
    SetState state = row.state();
    Set<Gear> worn = state.gear() == null ? normal : state.gear();
    RepSpeeds speeds = state.repSpeeds();
    return new BesideView(state.contexts(), state.contextWords(), worn, worn, seen, speeds == null ? "" : speeds.text(), did,
        state.chosen(), HurtForm.NOTHING);
  }

  /** As it was typed and not taken. */
  static BesideView typed(SaidForm form, Set<Gear> shown) {
    return new BesideView(form.contexts(), form.words(), form.worn() == null ? shown : form.worn(), shown, form.marks(), form.speeds(),
        form.did(), form.chosen(), form.hurt());
  }

  /** The pieces as they are shown, as a form sends them. */
  public String shown() {
    return names(wornWas);
  }

  private static String names(Set<Gear> pieces) {
    return pieces.stream().map(Enum::name).collect(Collectors.joining(","));
  }

  /** In a few words, for who does not open it; empty where all is as usual. */
  public String brief() {
    List<String> words = new ArrayList<>();
    if (chosen != null) {
      words.add(chosen.word());
    }
    contexts.forEach(context -> words.add(context.word()));
    marks.forEach((mark, rep) -> words.add(mark.word() + (rep.isEmpty() ? "" : ", rep " + rep)));
    if (!speeds.isEmpty()) {
      words.add(speeds + " m/s");
    }
    if (!did.isEmpty()) {
      words.add("done as " + did);
    }
    return String.join(" · ", words);
  }

  /** What a script fills the fields of a set with. */
  State state() {
    Map<String, String> seen = new LinkedHashMap<>();
    marks.forEach((mark, rep) -> seen.put(mark.name(), rep));
    return new State(contexts.stream().map(Enum::name).toList(), words, worn.stream().map(Enum::name).toList(), shown(), seen, speeds, did,
        brief());
  }

  /** The same by names. */
  public record State(List<String> ctx, String ctxWords, List<String> gear, String wornWas, Map<String, String> marks, String speeds,
      String did,
      String brief) {}
}
