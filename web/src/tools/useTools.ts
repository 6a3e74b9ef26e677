import { useQuery } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";

export type Source = Schemas["SourceView"];
export type Instrument = Schemas["InstrumentView"];

/** What the bench owns to warm with. */
export const useSources = () =>
  useQuery({
    queryKey: keys.heatSources,
    queryFn: async () => unwrap(await api.GET("/api/heat-sources")),
  });

/** Its thermometers and how they do right now. */
export const useInstruments = () =>
  useQuery({
    queryKey: keys.instruments,
    queryFn: async () => unwrap(await api.GET("/api/instruments")),
    refetchInterval: 2000,
  });
