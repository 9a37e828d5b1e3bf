package mosaicknife.app.shared;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses a request body larger than any form or weighing needs, before anything reads it.
 *
 * <p>A body that names its length is refused at once with a sentence; one that does not is cut off
 * when it grows too large.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodySizeFilter extends OncePerRequestFilter {

  private static final long MOST_UPLOAD_BYTES = 6 * 1024 * 1024 + 64 * 1024;

  private final Words words;

  BodySizeFilter(Words words) {
    this.words = words;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (request.getContentLengthLong() > most(request)) {
      refuse(response, Uploads.is(request));
    } else if (request.getContentLengthLong() < 0) {
      chain.doFilter(new LimitedRequest(request), response);
    } else {
      chain.doFilter(request, response);
    }
  }

  private static long most(HttpServletRequest request) {
    return Uploads.is(request) ? MOST_UPLOAD_BYTES : Uploads.MOST_FORM_BYTES;
  }

  private void refuse(HttpServletResponse response, boolean upload) throws IOException {
    response.setStatus(HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
    response.setContentType("text/plain;charset=UTF-8");
    response.setHeader("Connection", "close");
    String sentence =
        upload
            ? words.say("shared.problem.too-large-file")
            : words.say("shared.problem.too-large-form");
    response.getOutputStream().write(sentence.getBytes(StandardCharsets.UTF_8));
  }

  /** Counts what is read from a body of unknown length. */
  private static final class LimitedRequest extends HttpServletRequestWrapper {

    private LimitedRequest(HttpServletRequest request) {
      super(request);
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
      return new LimitedStream(super.getInputStream());
    }
  }

  private static final class LimitedStream extends ServletInputStream {

    private final ServletInputStream stream;
    private long read;

    private LimitedStream(ServletInputStream stream) {
      this.stream = stream;
    }

    @Override
    public int read() throws IOException {
      int next = stream.read();
      if (next >= 0 && ++read > Uploads.MOST_FORM_BYTES) {
        throw new IOException("The body is larger than " + Uploads.MOST_FORM_BYTES + " bytes");
      }
      return next;
    }

    @Override
    public int read(byte[] bytes, int offset, int length) throws IOException {
      int count = stream.read(bytes, offset, length);
      read += Math.max(0, count);
      if (read > Uploads.MOST_FORM_BYTES) {
        throw new IOException("The body is larger than " + Uploads.MOST_FORM_BYTES + " bytes");
      }
      return count;
    }

    @Override
    public boolean isFinished() {
      return stream.isFinished();
    }

    @Override
    public boolean isReady() {
      return stream.isReady();
    }

    @Override
    public void setReadListener(ReadListener listener) {
      stream.setReadListener(listener);
    }
  }
}
