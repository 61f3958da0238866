/** Tables as spreadsheet files. */
@ApplicationModule(displayName = "Spreadsheets", allowedDependencies = "platform")
package cauldron.server.spreadsheets;

import org.springframework.modulith.ApplicationModule;
