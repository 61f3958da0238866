/** Trials: recipes kept on the server and the films made from them. */
@ApplicationModule(displayName = "Trials", allowedDependencies = {"assignments", "labs", "platform"})
package cauldron.server.trials;

import org.springframework.modulith.ApplicationModule;
