import { Suspense, lazy } from 'react';
import { Navigate, Route, Routes, useMatch } from 'react-router';
import { useAbout } from './api/queries';
import { Frame } from './features/frame';
import { Doors, StartPage } from './features/start/StartPage';
import { Boundary } from './shared/Boundary';
import { Failed, Loading } from './shared/State';

const StaffPage = lazy(() => import('./features/staff/StaffPage'));
const JoinPage = lazy(() => import('./features/sign-in/JoinPage'));
const SignInPage = lazy(() => import('./features/sign-in/SignInPage'));
const Addressed = lazy(() => import('./shared/Addressed'));
const PlanPage = lazy(() => import('./features/plan/PlanPage'));
const RotationPage = lazy(() => import('./features/rotation/RotationPage'));
const ReadyPage = lazy(() => import('./features/plan/ReadyPage'));
const PaperPage = lazy(() => import('./features/paper/PaperPage'));
const ClassPage = lazy(() => import('./features/class/ClassPage'));
const WallPage = lazy(() => import('./features/wall/WallPage'));
const YardPage = lazy(() => import('./features/yard/YardPage'));
const PlaybookPage = lazy(() => import('./features/playbook/PlaybookPage'));
const BenchPage = lazy(() => import('./features/bench/BenchPage'));
const RackPage = lazy(() => import('./features/rack/RackPage'));
const CoursePlanPage = lazy(() => import('./features/course-plan/CoursePlanPage'));
const ProducePage = lazy(() => import('./features/produce/ProducePage'));
const CoursePage = lazy(() => import('./features/course/CoursePage'));
const AboutPage = lazy(() => import('./features/about/AboutPage'));

export function App() {
  const about = useAbout();
  const joins = useMatch('/join/:secret') !== null;
  if (joins)
    return (
      <Suspense fallback={<Loading />}>
        <Routes>
          <Route path="/join/:secret" element={<JoinPage />} />
        </Routes>
      </Suspense>
    );
  if (!about.data)
    return about.isError ? <Failed error={about.error} again={() => void about.refetch()} /> : <Loading />;
  if (!about.data.signed_in)
    return (
      <Suspense fallback={<Loading />}>
        <SignInPage names={about.data.names} />
      </Suspense>
    );
  return (
    <Boundary at="">
      <Suspense fallback={<Loading />}>
        <Routes>
          <Route path="/" element={<StartPage />} />
          <Route path="/start" element={<Doors />} />
          <Route path="/courses/new" element={<CoursePage />} />
          <Route path="/courses/:courseId/wall/:lessonId" element={<WallPage />} />
          <Route path="/courses/:courseId" element={<Frame />}>
            <Route index element={<Navigate to="yard" replace />} />
            <Route path="rack" element={<RackPage />} />
            <Route path="rack/:lessonId" element={<RackPage />} />
            <Route path="plan" element={<PlanPage />} />
            <Route path="plan/:lessonId" element={<PlanPage />} />
            <Route path="plan/:lessonId/rotation" element={<RotationPage />} />
            <Route path="plan/:lessonId/ready" element={<ReadyPage />} />
            <Route element={<Addressed />}>
              <Route path="plan/:lessonId/produce" element={<ProducePage />} />
              <Route path="plan/:lessonId/paper" element={<PaperPage />} />
              <Route path="bench" element={<BenchPage />} />
              <Route path="playbook" element={<PlaybookPage />} />
              <Route path="class" element={<ClassPage />} />
              <Route path="class/:lessonId" element={<ClassPage />} />
            </Route>
            <Route path="yard" element={<YardPage />} />
            <Route path="course" element={<CoursePlanPage />} />
            <Route path="set-up" element={<CoursePage />} />
            <Route path="staff" element={<StaffPage />} />
            <Route path="about" element={<AboutPage />} />
          </Route>
          <Route path="*" element={<StartPage />} />
        </Routes>
      </Suspense>
    </Boundary>
  );
}
