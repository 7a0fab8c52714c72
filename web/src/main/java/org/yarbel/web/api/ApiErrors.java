package org.yarbel.web.api;

import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.HttpMediaTypeNotSupportedException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.yarbel.core.notation.NotationException;
import org.yarbel.web.edge.BodyTooLarge;

/** One handler a kind of thing that is wrong with a call. */
@RestControllerAdvice(basePackageClasses = ApiErrors.class)
@Order(Ordered.HIGHEST_PRECEDENCE)
class ApiErrors {
  @ExceptionHandler
  ResponseEntity<ApiProblem> notation(NotationException wrong) {
    return answer(new ApiProblem("about:blank", "The work cannot be read", 422, wrong.getMessage(), wrong.problems()));
  }

  @ExceptionHandler
  ResponseEntity<ApiProblem> outOfRange(OutOfRange wrong) {
    return answer(ApiProblem.of(422, "A value is out of range", wrong.getMessage()));
  }

  @ExceptionHandler
  ResponseEntity<ApiProblem> notAsDescribed(NotAsDescribed wrong) {
    return answer(ApiProblem.of(400, "The request is not as described", wrong.getMessage()));
  }

  @ExceptionHandler
  ResponseEntity<ApiProblem> unreadable(HttpMessageNotReadableException wrong) {
    for (Throwable why = wrong; why != null; why = why.getCause()) {
      if (why instanceof BodyTooLarge large) {
        return answer(ApiProblem.of(413, "The body is too large", "A body has at most " + large.most() / 1024 + " KiB."));
      }
      if (why instanceof OutOfRange number) {
        return outOfRange(number);
      }
    }
    return answer(ApiProblem.of(400, "The request is not as described",
        "The body must be the JSON that the call describes, without other fields."));
  }

  @ExceptionHandler
  ResponseEntity<ApiProblem> notJson(HttpMediaTypeNotSupportedException wrong) {
    return answer(ApiProblem.of(415, "The body must be JSON", "Send it as application/json."));
  }

  @ExceptionHandler
  ResponseEntity<ApiProblem> method(HttpRequestMethodNotSupportedException wrong) {
    return answer(ApiProblem.of(405, "This call has another method", "Use the method that the call describes."));
  }

  private static ResponseEntity<ApiProblem> answer(ApiProblem problem) {
    return ResponseEntity.status(problem.status()).contentType(MediaType.APPLICATION_PROBLEM_JSON).body(problem);
  }
}
