declare module 'virtual:words/*' {
  const words: Record<string, string>
  export default words
}
