import { createContext, useContext } from 'react';

/** Placing a photograph on the sheet: the one that waits for a touch, and how to ask for one. */
interface PlacePhoto {
  waiting: string | null;
  ask: (photoId: string | null) => void;
}

export const PlacePhotoContext = createContext<PlacePhoto | null>(null);

export function usePlacePhoto(): PlacePhoto | null {
  return useContext(PlacePhotoContext);
}
