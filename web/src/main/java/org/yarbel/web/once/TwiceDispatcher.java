package org.yarbel.web.once;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpMethod;
import org.springframework.web.servlet.DispatcherServlet;
import org.yarbel.web.edge.Transient;

/**
 * Tries once more what lost against somebody who wrote at the same moment: by then the other is through, and most of the time
 * there is nothing to quarrel about. What loses again is answered with 409.
 */
final class TwiceDispatcher extends DispatcherServlet {
  private static final long serialVersionUID = 1;

  @Override
  protected void doDispatch(HttpServletRequest request, HttpServletResponse response) throws Exception {
    try {
      super.doDispatch(request, response);
    } catch (Exception wrong) {
      if (!Transient.lost(wrong) || response.isCommitted() || !HttpMethod.POST.matches(request.getMethod())) {
        throw wrong;
      }
      again(request, response);
    }
  }

  private void again(HttpServletRequest request, HttpServletResponse response) throws Exception {
    response.resetBuffer();
    try {
      super.doDispatch(request, response);
    } catch (Exception wrong) {
      if (!Transient.lost(wrong) || response.isCommitted()) {
        throw wrong;
      }
      logger.warn("Lost twice at " + request.getMethod() + " " + request.getServletPath() + ": " + wrong.getClass().getSimpleName());
      response.sendError(HttpServletResponse.SC_CONFLICT);
    }
  }
}
