package plainlantern.studio.account;

import java.io.Serializable;
import java.util.UUID;

/**
 * The account that a request comes from. It lies in the session, so it holds no secret.
 *
 * @param name   what it is called on the screen
 * @param signIn what is typed to sign in; no two accounts have the same
 */
public record Member(UUID id, String name, String signIn) implements Serializable {}
