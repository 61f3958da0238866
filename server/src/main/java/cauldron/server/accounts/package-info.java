/** People: who they are, signing in and out, and limits on guessing. */
@ApplicationModule(displayName = "Accounts")
package cauldron.server.accounts;

import org.springframework.modulith.ApplicationModule;
