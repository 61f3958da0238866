/**
 * What stored and sent structures may hold, declared once: a {@link cauldron.core.form.Form} reads a tree strictly and
 * tells all its faults together, writes it, and describes itself as JSON Schema, from which TypeScript's types are made.
 */
package cauldron.core.form;
