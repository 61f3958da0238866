/** People: who they are, signing in and out, and limits on guessing. */
@ApplicationModule(displayName = "Accounts", allowedDependencies = {"acts", "platform", "print"})
package cauldron.server.accounts;

import org.springframework.modulith.ApplicationModule;
