"""The web application: settings, routes, errors. Thin: parse, call, answer."""
