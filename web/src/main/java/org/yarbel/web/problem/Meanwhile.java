package org.yarbel.web.problem;

import java.util.Optional;

/** What somebody else of the club did last, for whoever lost against them. */
public interface Meanwhile {
  /** In words, with who did it; empty where nothing is on record. */
  Optional<String> words();
}
