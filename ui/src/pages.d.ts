declare module '*.md' {
  /** As HTML. */
  const page: string
  export default page
}
