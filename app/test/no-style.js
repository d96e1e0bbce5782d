// A style sheet is nothing to what has no screen.
