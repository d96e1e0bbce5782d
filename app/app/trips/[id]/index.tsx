import { Redirect, useLocalSearchParams } from 'expo-router';

export default function Trip() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <Redirect href={`/trips/${id}/plan`} />;
}
