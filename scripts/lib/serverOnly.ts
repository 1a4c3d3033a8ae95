// Stands in for the package that keeps server code out of the browser: tests run neither.
export {}
