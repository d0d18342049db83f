package garden.vivarium.app.find;

/** Something found: where it is, what it is called, and what it is. */
record Found(String address, String name, String what) {}
