package mosaicknife.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import mosaicknife.app.account.TokenIssuer;
import mosaicknife.app.account.TokenIssuer.IssuedToken;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Signs in to the API. */
@RestController
@Tag(name = "Tokens")
class TokenApi {

  private final TokenIssuer tokens;

  TokenApi(TokenIssuer tokens) {
    this.tokens = tokens;
  }

  /** Name and password, as on the sign-in page. */
  record SignIn(String name, String password) {}

  @PostMapping("/api/v1/tokens")
  @Operation(
      summary = "Get a token",
      description = "Send it as 'Authorization: Bearer …'. It ends after 30 days.")
  IssuedToken issue(@RequestBody SignIn signIn, HttpServletRequest request) {
    String name = signIn.name() == null ? "" : signIn.name();
    String password = signIn.password() == null ? "" : signIn.password();
    return tokens.issue(name, password, request.getRemoteAddr());
  }
}
