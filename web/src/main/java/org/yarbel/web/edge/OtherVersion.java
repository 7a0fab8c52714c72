package org.yarbel.web.edge;

import org.flywaydb.core.api.exception.FlywayValidateException;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Says in a sentence that the records were written by another version, which is refused at the start. */
class OtherVersion extends AbstractFailureAnalyzer<FlywayValidateException> {
  @Override
  protected FailureAnalysis analyze(Throwable root, FlywayValidateException cause) {
    return new FailureAnalysis("The records in the data folder were written by a newer version of Yarbel.",
        "Use that version, or another data folder.", cause);
  }
}
