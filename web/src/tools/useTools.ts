import { useQuery } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";

export type Source = Schemas["SourceView"];
export type Instrument = Schemas["InstrumentView"];
export type Instruments = Schemas["InstrumentsView"];
export type Channel = Instrument["channels"][number];

/** What the bench owns to warm with. */
export const useSources = () =>
  useQuery({
    queryKey: keys.heatSources,
    queryFn: async () => unwrap(await api.GET("/api/heat-sources")),
  });

/** Its instruments and how they do right now. */
export const useInstruments = () =>
  useQuery({
    queryKey: keys.instruments,
    queryFn: async () => unwrap(await api.GET("/api/instruments")),
    refetchInterval: 2000,
  });
