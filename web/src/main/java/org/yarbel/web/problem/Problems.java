package org.yarbel.web.problem;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;

/** Sends what does not exist, and what cannot be an id or a day, to the same page. The API answers for itself. */
@ControllerAdvice(annotations = org.springframework.stereotype.Controller.class)
@Order(Ordered.LOWEST_PRECEDENCE)
class Problems {
  @ExceptionHandler({NotFound.class, MethodArgumentTypeMismatchException.class})
  void notFound(HttpServletResponse response) throws IOException {
    response.sendError(HttpServletResponse.SC_NOT_FOUND);
  }
}
