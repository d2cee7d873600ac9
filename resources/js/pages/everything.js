import { component } from './component.js';
import { reason } from '../lib/http.js';
import { follow } from '../lib/task.js';

/** The page that waits for the zip of everything, or for what comes in by one. */
export default () =>
    component({
        says: 'The zip is being made.',
        done: 0,
        file: '',

        get isDone() {
            return this.file !== '';
        },

        async init() {
            this.says = this.$root.dataset.says ?? this.says;
            try {
                const result = await follow(this.$root.dataset.address ?? '', (done) => {
                    this.done = done;
                });
                [this.done, this.file, this.says] = [100, result.file, result.says ?? 'The zip is ready. It is kept for a day.'];
            } catch (error) {
                this.says = reason(error);
            }
        },
    });
