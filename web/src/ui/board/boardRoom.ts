/** Room beside the drawing of the reach, in pixels: the machine, the name of the task, and the way to log it. */
export const BOARD_ROOM = { machine: 192, name: 352, log: 116 } as const;
