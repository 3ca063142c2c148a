/** The time of day on this device, as 09:30. */
export const timeNow = () =>
  new Date().toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
