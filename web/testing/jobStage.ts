import { defineComponent, h, type Component } from 'vue';
import { openJob, provideJob } from '../src/shared/job/useJob.ts';
import { JOB } from './mounting.ts';

/** A station under an open job, as the job's page gives it. */
export const inJob = (station: Component, props: object = {}): Component =>
  defineComponent({
    setup() {
      provideJob(openJob(JOB));
      return () => h(station, props);
    },
  });
