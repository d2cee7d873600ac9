/** What the person may do in the plan, as the page brings it. */
export class Rights {
    /**
     * @param {{can?: {write: boolean, comment?: boolean}, owner?: string, [more: string]: any}} data of the page
     * @param {(text: string) => void} say
     */
    constructor(data, say) {
        this.mayWrite = data.can?.write !== false;
        this.owns = data.owns === true;
        this.mayComment = data.can?.comment !== false;
        this.owner = data.owner || 'Its owner';
        this.say = say;
    }

    refuse() {
        this.say(`You can read this plan, and not change it. ${this.owner} can let you write.`);
    }

    /** Whether the plan is kept from being changed; says so. */
    isKept() {
        !this.mayWrite && this.refuse();
        return !this.mayWrite;
    }
}
