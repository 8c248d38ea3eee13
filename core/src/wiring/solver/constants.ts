/** The fixed figures of the circuit format, one place for each. Source: the format itself (docs/formats/circuit.md). */

/** A closed contact, a closed switch, a whole fuse, a wire. */
export const CLOSED_OHMS = 0.01;
/** An open contact, a blown fuse, an opened wire, and a voltmeter. */
export const OPEN_OHMS = 10e6;
/** What stands behind every supply, neutral and earth included. */
export const SUPPLY_OHMS = 0.05;
/** A control, a coil: energised from this share of rated volts. */
export const PULL_IN = 0.75;
/** A load: energised from this share of rated volts. */
export const LOAD_ON = 0.5;
/** A bare end is live from here on, to earth (the circuit format; common practice for contact voltage is 25 to 50 V). */
export const LIVE_VOLTS = 30;
/** Rounds after which a circuit that still clicks is called unsettled. */
export const MOST_ROUNDS = 50;

/** Short-circuit impedance of a small control transformer as a share of its rated impedance (common practice: 4 to 8 %). */
export const TRANSFORMER_IMPEDANCE = 0.05;
/** Leak of a floating secondary to earth, so that it has a place; far below anything a meter shows. */
export const SECONDARY_LEAK_SIEMENS = 1e-9;
