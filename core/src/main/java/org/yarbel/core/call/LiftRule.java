package org.yarbel.core.call;

import java.util.List;
import java.util.Optional;

/** Looks at one lift after another of those that were trained. */
interface LiftRule extends CallRule {
  /** What it would do about a lift, by its key; empty when all is well. */
  Optional<Call> of(Picture picture, String lift);

  @Override
  default List<Call> look(Picture picture) {
    return picture.trained().stream().map(lift -> of(picture, lift)).flatMap(Optional::stream).toList();
  }
}
