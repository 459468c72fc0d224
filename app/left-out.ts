/** What stands for parts of libraries that nothing here uses, so that no browser fetches and keeps them. */
export default {}
