package org.yarbel.web.problem;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;

/** The one page for everything that is wrong, and for calls of the API a problem document. */
@Controller
class ErrorPage implements ErrorController {
  @RequestMapping("/error")
  Object error(HttpServletRequest request) {
    HttpStatus status = status(request);
    if (String.valueOf(request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI)).startsWith("/api/")) {
      return ResponseEntity.status(status).contentType(MediaType.APPLICATION_PROBLEM_JSON)
          .body(ProblemDetail.forStatusAndDetail(status, "See /api/v1 for what there is."));
    }
    ModelAndView page = new ModelAndView("error", Map.of("status", status.value()));
    page.setStatus(status);
    return page;
  }

  private static HttpStatus status(HttpServletRequest request) {
    Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
    HttpStatus known = code instanceof Integer number ? HttpStatus.resolve(number) : HttpStatus.NOT_FOUND;
    return known == null ? HttpStatus.INTERNAL_SERVER_ERROR : known;
  }
}
