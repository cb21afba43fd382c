package plainlantern.checking;

import plainlantern.asking.Choice;

/** How much a fault matters, heaviest first: it spoils the result, it may, or it is merely worth knowing. */
public enum Weight implements Choice { FAULT, WARNING, NOTE }
