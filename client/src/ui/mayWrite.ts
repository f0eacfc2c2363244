import { createContext, useContext } from 'react';

/** Whether whoever is here may write; the frame says so for all that is in it. */
export const MayWrite = createContext(true);

export const useMayWrite = () => useContext(MayWrite);
