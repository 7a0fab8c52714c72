package org.yarbel.core.notation;

import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What a part that was read cannot mean, though each of its pieces is well written. */
record PartCheck(Work work, Span workSpan, @Nullable Load load, @Nullable Span loadSpan, @Nullable RpeTarget rpe,
    @Nullable Span rpeSpan, Map<Option.Kind, Option> options, Map<Option.Kind, Span> optionSpans) {

  /** Throws the first problem in the order of importance to the one who types. */
  void check(boolean loadedBefore) {
    if (rpe != null && rpeSpan != null) {
      checkRpe(rpe, rpeSpan);
    } else if (work.kind().ratings() == WorkKind.Ratings.ONE_NEEDED) {
      throw new Stop(workSpan, "A build needs the RPE it ends at: write " + work + " @7.");
    }
    if (load != null && loadSpan != null) {
      checkLoad(load, loadSpan, loadedBefore);
    } else if (work.kind().loads() == WorkKind.Loads.SHARE_OR_MASS) {
      throw new Stop(workSpan, "The load is missing: write a share of a max or a mass, such as " + work.kind().example() + ".");
    }
    optionSpans.forEach(this::checkOption);
    for (Option.Kind kind : Option.Kind.values()) {
      if (kind.neededBy(work.kind()) && !options.containsKey(kind)) {
        throw new Stop(workSpan, "The " + (kind == Option.Kind.GAP ? "gap between the singles" : "time") + " is missing: write "
            + work + " " + kind.example() + ".");
      }
    }
  }

  private void checkRpe(RpeTarget target, Span span) {
    if (work instanceof Work.SetsOfReps sets && sets.reps() instanceof Reps.Open) {
      throw new Stop(span, "An open set has no RPE to reach: write cap @" + target.from() + " to stop there.");
    }
    WorkKind kind = work.kind();
    if (kind.ratings() == WorkKind.Ratings.NONE) {
      boolean capped = Option.Kind.CAP.on().contains(kind);
      throw new Stop(span, "A " + kind.word() + " has no RPE to reach"
          + (capped ? ": write cap @" + target.from() + " to stop there." : "."));
    }
    if (kind.ratings() != WorkKind.Ratings.ANY && target.to() != null) {
      throw new Stop(span, "A " + kind.word() + " ends at one RPE: write @" + target.from() + " or @" + target.to() + ".");
    }
  }

  private void checkLoad(Load written, Span span, boolean loadedBefore) {
    WorkKind kind = work.kind();
    switch (kind.loads()) {
      case NONE -> throw new Stop(span, switch (kind) {
        case SERIES -> "A series has its masses already: take this load out.";
        case BUILD -> "A build finds its load by the RPE: take this load out.";
        default -> "A max finds its load on the day: take this load out.";
      });
      case SHARE_OR_MASS -> {
        if (!(written instanceof Load.Percent || written instanceof Load.OfMass)) {
          throw new Stop(span, "Here the load is a share of a max or a mass, such as " + kind.example() + ".");
        }
      }
      case NO_DROP -> {
        if (written instanceof Load.Drop) {
          throw new Stop(span, "Here the load is a percentage, a mass or bw, such as " + kind.example() + ".");
        }
      }
      case ANY -> { }
    }
    if (written.needsTop() && !loadedBefore) {
      throw new Stop(span, "Nothing loaded stands before this: write the top set first, such as 1x1 @8; 4x4 -15%.");
    }
  }

  private void checkOption(Option.Kind kind, Span span) {
    if (!kind.on().contains(work.kind())) {
      String with = kind.on().stream().map(on -> on == WorkKind.SETS ? "5x5" : on.word()).collect(Collectors.joining(", "));
      throw new Stop(span, kind.on().size() > 5
          ? "The word " + kind.word() + " means nothing with " + work.kind().word() + "."
          : "The word " + kind.word() + " means something with " + with + " only.");
    }
    if (kind == Option.Kind.AT) {
      checkAt(span);
    }
  }

  private void checkAt(Span span) {
    if (options.keySet().stream().noneMatch(Option.Kind::changesLoadOnTheWay)) {
      throw new Stop(span, "Top and bottom differ only with chains, bands or reverse: write one of them, such as chains 15kg.");
    }
    boolean share = load == null ? rpe != null && work.kind().loadedByRpe() || work instanceof Work.Max
        : load instanceof Load.Percent;
    if (!share) {
      throw new Stop(span, "The point is that of a percentage or an RPE; a mass or a drop is of the bar itself.");
    }
  }
}
