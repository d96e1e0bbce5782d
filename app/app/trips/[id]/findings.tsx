import { Redirect, useLocalSearchParams } from 'expo-router';

/** The address that the answer had before. */
export default function Findings() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <Redirect href={`/trips/${id}`} />;
}
