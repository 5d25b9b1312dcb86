package wrenchnotes.server.team;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/** @param strength how dear one guess at a password is: bcrypt's 2^strength rounds, 4 to 31; tests take the least */
@ConfigurationProperties("wrenchnotes.passwords")
public record PasswordSettings(@DefaultValue("10") int strength) {}
