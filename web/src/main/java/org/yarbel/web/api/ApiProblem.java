package org.yarbel.web.api;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.notation.Problem;

/** What the API answers when it cannot: RFC 9457, with the places of what is wrong in a line of work. */
record ApiProblem(String type, String title, int status, String detail, @Nullable List<Problem> errors) {
  static ApiProblem of(int status, String title, String detail) {
    return new ApiProblem("about:blank", title, status, detail, null);
  }
}
