package mosaicknife.app.account;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import mosaicknife.app.shared.BareAnswer;
import mosaicknife.app.shared.Uploads;
import mosaicknife.app.shared.Words;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.apache.coyote.ContinueResponseTiming;
import org.apache.tomcat.util.buf.ByteChunk;
import org.springframework.http.HttpStatus;

/**
 * Takes in what a request sends before anything else has a turn, within a time. A worker of the
 * server waits while a body comes; whoever sends a letter a second would hold it for hours. Only so
 * many strangers are let in, and waited for, at once: those who signed in always find a worker,
 * from whatever address.
 */
final class Doorstep extends ValveBase {

  /** Of two hundred workers, those that may be busy with strangers. */
  private static final int STRANGERS = 120;

  /** Of these, those that may wait for what a stranger sends. */
  private static final int SENDING = 40;

  private static final Duration FOR_A_STRANGER = Duration.ofSeconds(10);
  private static final Duration FOR_A_GUEST = Duration.ofMinutes(1);

  private final Semaphore inside = new Semaphore(STRANGERS);
  private final Semaphore sending = new Semaphore(SENDING);
  private final Guests guests;
  private final BareAnswer answers;
  private final Words words;

  Doorstep(Guests guests, BareAnswer answers, Words words) {
    super(true);
    this.guests = guests;
    this.answers = answers;
    this.words = words;
  }

  @Override
  public void invoke(Request request, Response response) throws IOException, ServletException {
    if (guests.knows(request)) {
      if (sends(request) && !isLarge(request)) {
        takeIn(request, response, FOR_A_GUEST);
      } else {
        getNext().invoke(request, response);
      }
    } else if (!withPlace(inside, () -> letIn(request, response))) {
      refuse(request, response, HttpStatus.SERVICE_UNAVAILABLE, "shared.problem.busy");
    }
  }

  private void letIn(Request request, Response response) throws IOException, ServletException {
    if (!sends(request)) {
      getNext().invoke(request, response);
    } else if (isLarge(request)) {
      refuse(request, response, HttpStatus.UNAUTHORIZED, "account.problem.sign-in-first");
    } else if (!withPlace(sending, () -> takeIn(request, response, FOR_A_STRANGER))) {
      refuse(request, response, HttpStatus.SERVICE_UNAVAILABLE, "shared.problem.busy");
    }
  }

  private interface Work {
    void run() throws IOException, ServletException;
  }

  /** Does it if there is a place; false if there is none. */
  private static boolean withPlace(Semaphore places, Work work)
      throws IOException, ServletException {
    if (!places.tryAcquire()) {
      return false;
    }
    try {
      work.run();
    } finally {
      places.release();
    }
    return true;
  }

  private static boolean isLarge(Request request) {
    return Uploads.is(request) || request.getContentLengthLong() > Uploads.MOST_FORM_BYTES;
  }

  private static boolean sends(Request request) {
    return request.getContentLengthLong() > 0 || request.getHeader("Transfer-Encoding") != null;
  }

  private void takeIn(Request request, Response response, Duration within)
      throws IOException, ServletException {
    response.sendAcknowledgement(ContinueResponseTiming.ALWAYS);
    ByteChunk body = new ByteChunk();
    body.setLimit(-1);
    long began = System.nanoTime();
    byte[] some = new byte[8192];
    try {
      InputStream in = request.createInputStream();
      for (int read = in.read(some); read >= 0; read = in.read(some)) {
        body.append(some, 0, read);
        if (body.getLength() > Uploads.MOST_FORM_BYTES) {
          refuse(request, response, HttpStatus.CONTENT_TOO_LARGE, "shared.problem.too-large-form");
          return;
        }
        if (System.nanoTime() - began > within.toNanos()) {
          refuse(request, response, HttpStatus.REQUEST_TIMEOUT, "account.problem.too-slow");
          return;
        }
      }
    } catch (IOException e) {
      // it went away, or sent nothing for as long as a line may be silent
      refuse(request, response, HttpStatus.REQUEST_TIMEOUT, "account.problem.too-slow");
      return;
    }
    request.getCoyoteRequest().action(ActionCode.REQ_SET_BODY_REPLAY, body);
    getNext().invoke(request, response);
  }

  /** The rest of what it sends is not read: the line is ended. */
  private void refuse(Request request, Response response, HttpStatus status, String why)
      throws IOException {
    request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null);
    answers.send(request, response, status, words.say(why), 5);
    response.setHeader("Connection", "close");
    response.finishResponse();
  }
}
