/** Alpine tells no types; what is used of it here. */
declare module '@alpinejs/csp' {
    const Alpine: { data(name: string, component: () => object): void; start(): void };
    export default Alpine;
}
declare module '*.css';
