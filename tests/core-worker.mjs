/*
 * Runs first in each process of the core's tests. The runner tells all its processes what they are to do as soon as any of them asks,
 * and does not tell it again: a process that was not listening for it yet would wait for ever. What comes early is kept until it is
 * asked for. It is seen as it passes, without a listener: with one, what is sent to others would come before they listen.
 */
const TOLD = 'jest-light-runner-worker-data';
const ASKED = 'jest-light-runner-get-worker-data';

if (process.send) {
  const emit = process.emit.bind(process);
  const send = process.send.bind(process);
  let told = null;
  process.emit = (event, message, ...rest) => {
    if (event === 'message' && message?.type === TOLD) told = message;
    return emit(event, message, ...rest);
  };
  process.send = (message, ...rest) => (message === ASKED && told ? emit('message', told) : send(message, ...rest));
}
